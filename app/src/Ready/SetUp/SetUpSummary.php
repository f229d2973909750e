<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

/**
 * What carrying out the set-up list of a round would do, in one line.
 */
final readonly class SetUpSummary
{
    /**
     * @param string      $digest says which list this is
     * @param string|null $press  what one press does, in words; null: nothing
     * @param int         $steps  all of them
     * @param int         $asks   how many steps lose something, and are done only if somebody says so
     */
    public function __construct(public string $digest, public ?string $press, public int $steps, public int $asks)
    {
    }
}
