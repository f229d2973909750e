<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Points;

/**
 * What a student has by a rule.
 */
final readonly class StudentPoints
{
    /**
     * @param list<bool> $met which parts of the rule are met, in their order
     */
    public function __construct(public string $student, public int $sum, public array $met)
    {
    }
}
