<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * Somebody of the class.
 */
final readonly class StudentFact
{
    /**
     * @param string $name as they were called then
     */
    public function __construct(
        public string $id,
        public string $name,
    ) {
    }
}
