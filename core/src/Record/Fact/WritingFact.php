<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * A stretch of somebody’s writing.
 */
final readonly class WritingFact
{
    /**
     * @param string|null $group in whose copy; null where it is their own
     * @param string      $slot  the copy and the place in it
     * @param int         $at    when it ended
     * @param int         $put   how much was put in: words of a text; cards, ticks, cells, marks or pictures set
     */
    public function __construct(
        public string $student,
        public ?string $group,
        public string $slot,
        public int $at,
        public int $put,
    ) {
    }
}
