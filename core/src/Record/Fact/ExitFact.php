<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * How much of the exit questions a student has answered.
 */
final readonly class ExitFact
{
    /**
     * @param int $answered 0 to `of`
     */
    public function __construct(
        public string $student,
        public int $answered,
        public int $of,
    ) {
    }
}
