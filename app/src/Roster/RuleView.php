<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

/**
 * A must between students of a class. Only teachers ever see it.
 */
final readonly class RuleView
{
    /**
     * @param list<string> $students ids
     */
    public function __construct(public string $id, public RuleKind $kind, public array $students)
    {
    }
}
