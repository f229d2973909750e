<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * A student was called on.
 */
final readonly class CalledOnFact
{
    /**
     * @param bool $passed they would rather not: it does not count
     */
    public function __construct(
        public string $student,
        public int $at,
        public bool $passed,
    ) {
    }
}
