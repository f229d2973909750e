<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\Conflicts;
use FreshHuddle\Core\Grouping\Search\FewestMoves;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Message;

/**
 * Somebody is missing, somebody is late: the groups go on as they are, with as few students moved as can be.
 */
final readonly class Repair implements Method
{
    public function solve(Problem $problem, Limit $limit): Result
    {
        $disturbance = $problem->disturbance ?? new Disturbance([]);
        $gone = array_fill_keys($disturbance->absent, true);
        $seatOf = [];
        foreach ($disturbance->current as $g => $group) {
            foreach ($group as $id) {
                if (!isset($gone[$id])) {
                    $seatOf[$id] = $g;
                }
            }
        }
        $arrivals = array_fill_keys($disturbance->arrivals, true);
        $present = array_values(
            array_filter(
                $problem->students,
                static fn (Student $student): bool => isset($seatOf[$student->id]) || isset($arrivals[$student->id]),
            ),
        );
        $setting = self::setting($present, $disturbance, $problem);
        $isPresent = array_fill_keys(array_keys($setting->index), true);
        $rules = array_filter(array_map(static fn (Rule $rule): ?Rule => $rule->among($isPresent), $problem->rules));
        $start = array_map(static fn (Student $student): int => $seatOf[$student->id] ?? -1, $present);
        $musts = new Musts($setting, $rules);
        $search = new FewestMoves($setting, $musts, $problem->goals, $disturbance, $limit);
        $groupOf = $search->find($start);
        if (null === $groupOf) {
            $conflicts = $this->conflicts($setting, $rules, $problem, $disturbance);

            return [] === $conflicts
                ? throw NoWayFound::toKeepAllRules()
                : new Result(
                    $problem->seed,
                    unplaced: array_map(static fn (Student $student): string => $student->id, $present),
                    conflicts: $conflicts,
                );
        }
        $result = (new Report($problem, $setting))->found(
            [self::rows($disturbance->current, $setting->index, $start, $groupOf)],
            $search->looksAtAll(),
            array_fill(0, \count($problem->goals), 0.0),
        );
        $unplaced = [];
        foreach ($problem->students as $student) {
            if (!isset($isPresent[$student->id]) && !isset($gone[$student->id])) {
                $unplaced[] = $student->id;
            }
        }

        return $result->with(
            unplaced: $unplaced,
            moves: (new WhyMoved($setting, $rules, $problem->labels(), $disturbance->minSize))->moves(
                $start,
                $groupOf,
            ),
        );
    }

    /**
     * Whoever stays keeps the place in the row; whoever comes sits down at its end.
     *
     * @param list<list<string>> $current who sat where
     * @param array<string, int> $index   of those who are here
     * @param array<int, int>    $start   the group each had, -1: none
     * @param array<int, int>    $groupOf the group each has
     *
     * @return list<list<int>>
     */
    private static function rows(array $current, array $index, array $start, array $groupOf): array
    {
        $groups = array_fill(0, \count($current), []);
        foreach ($current as $g => $group) {
            foreach ($group as $id) {
                if (isset($index[$id]) && $groupOf[$index[$id]] === $g) {
                    $groups[$g][] = $index[$id];
                }
            }
        }
        foreach ($groupOf as $i => $g) {
            if ($start[$i] !== $g) {
                $groups[$g][] = $i;
            }
        }

        return array_values($groups);
    }

    /**
     * @param list<Student> $present
     *
     * @throws ImpossibleShape
     */
    private static function setting(array $present, Disturbance $disturbance, Problem $problem): Setting
    {
        $groups = \count($disturbance->current);
        $room = $disturbance->maxSize ?? max(1, \count($present));
        if ($groups * $room < \count($present)) {
            throw ImpossibleShape::tooFewSeats($groups, $room, \count($present));
        }

        return new Setting($present, array_fill(0, $groups, $room), $problem->history);
    }

    /**
     * @param array<int, Rule> $rules
     *
     * @return list<Conflict>
     */
    private function conflicts(Setting $setting, array $rules, Problem $problem, Disturbance $disturbance): array
    {
        $numbers = array_keys($rules);
        $shape = new Message('grouping.shape.at_most', [
            'groups' => $setting->groups(),
            'most' => $disturbance->maxSize ?? 0,
        ]);
        $conflicts = (new Conflicts($setting, array_values($rules), $problem->labels(), $shape))->find();

        return array_map(
            static fn (Conflict $conflict): Conflict => new Conflict(
                array_map(static fn (int $rule): int => $numbers[$rule], $conflict->rules),
                $conflict->message,
            ),
            $conflicts,
        );
    }
}
