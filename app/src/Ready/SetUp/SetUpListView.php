<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

/**
 * Everything that is going to be done, before it is.
 */
final readonly class SetUpListView
{
    /**
     * @param string           $digest says which list this is
     * @param string|null      $press  what one press does, in words; null: nothing
     * @param int              $asks   how many steps lose something, and are done only if somebody says so
     * @param list<ListedStep> $steps  in the order in which they are done
     */
    public function __construct(
        public string $digest,
        public ?string $press,
        public int $asks,
        public array $steps,
    ) {
    }
}
