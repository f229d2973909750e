<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * One group a table of the seating plan, in the order of the tables' names, numbers in them by their size. Who sits at
 * no table is reported unplaced.
 */
final readonly class ByTable implements Method
{
    public function solve(Problem $problem, Limit $limit): Result
    {
        $tables = $unplaced = [];
        foreach ($problem->students as $i => $student) {
            if (null === $student->table || '' === $student->table) {
                $unplaced[] = $student->id;
            } else {
                $tables[$student->table][] = $i;
            }
        }
        $groups = array_map(static fn (string $table): array => $tables[$table], self::tables($problem));
        $sizes = array_map('count', $groups);
        rsort($sizes);
        $setting = new Setting($problem->students, $sizes, $problem->history);
        $broken = (new BrokenRules($problem, $setting))->inGroups($groups, MethodKind::ByTable);
        $none = array_fill(0, \count($problem->goals), 0.0); // the goals' own bounds hold for a class that is seated

        return (new Report($problem, $setting))
            ->found(array_fill(0, $problem->rounds, $groups), false, $none)
            ->with(unplaced: $unplaced, conflicts: $broken);
    }

    /**
     * @return list<string> the tables' names, in the order of the groups
     */
    public static function tables(Problem $problem): array
    {
        $names = [];
        foreach ($problem->students as $student) {
            if (null !== $student->table && '' !== $student->table) {
                $names[$student->table] = true;
            }
        }
        $names = array_map(strval(...), array_keys($names));
        usort($names, static fn (string $a, string $b): int => [strnatcasecmp($a, $b), strcmp($a, $b)] <=> [0, 0]);

        return $names;
    }
}
