<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

/**
 * A must between students of a class, or a wish of one of them. Only teachers ever see it.
 */
final readonly class RuleView
{
    /**
     * @param list<string> $students ids; for a wish, who has it comes first
     */
    public function __construct(public string $id, public RuleKind $kind, public array $students)
    {
    }
}
