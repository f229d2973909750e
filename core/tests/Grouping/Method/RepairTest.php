<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Method\Repair;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\TestCase;

/**
 * Groups mended with as few moves as can be.
 */
final class RepairTest extends TestCase
{
    public function test_it_moves_as_few_as_can_be_and_among_those_ways_the_goals_decide(): void
    {
        $solved = $moved = 0;
        for ($seed = 0; $seed < 220; ++$seed) {
            $random = new RandomProblem(40_000 + $seed);
            $n = $random->number(4, 7);
            $groups = $random->number(2, 3);
            $current = array_fill(0, $groups, []);
            $absent = $arrivals = [];
            foreach (RandomProblem::ids($n) as $id) {
                $fate = $random->number(0, 6);
                if ($fate < 2) {
                    $arrivals[] = $id;
                } else {
                    $current[$random->number(0, $groups - 1)][] = $id;
                    if (6 === $fate) {
                        $absent[] = $id;
                    }
                }
            }
            $maxSize = 0 === $random->number(0, 1) ? null : $random->number(3, 4);
            $all = $random->goals($n);
            $problem = new Problem(
                $random->students($n),
                null,
                MethodKind::Repair,
                rules: $random->rules($n, $groups, $random->number(0, 3)),
                goals: [$all[$seed % 8]],
                history: $random->history($n, 1),
                disturbance: new Disturbance($current, $absent, $arrivals, 2, $maxSize),
            );
            $best = self::best($problem);
            try {
                $result = (new Repair())->solve($problem, new NoLimit());
            } catch (ImpossibleShape) {
                self::assertNull($best, "seed {$seed}");
                continue;
            } catch (NoWayFound) {
                self::assertNull($best, "seed {$seed}");
                continue;
            }
            if (null === $best) {
                self::assertFalse($result->keepsAllRules(), "seed {$seed}");
                continue;
            }
            ++$solved;
            self::assertTrue($result->keepsAllRules(), "seed {$seed}");
            [$moves, $cost] = $best;
            $moved += $moves;
            self::assertCount($moves, $result->moves, "seed {$seed}");
            self::assertEqualsWithDelta($cost, self::among($problem)->cost($result->rounds), 1e-6, "seed {$seed}");
            self::assertEqualsCanonicalizing(
                array_values(array_diff(RandomProblem::ids($n), $absent)),
                array_merge(...$result->rounds[0]),
            );
            self::assertTrue(self::isAllowed($problem, $result->rounds[0]));
        }
        self::assertGreaterThan(100, $solved);
        self::assertGreaterThan(40, $moved, 'some needed moves');
    }

    public function test_a_late_student_joins_the_smallest_group_the_rules_allow(): void
    {
        $result = self::repair([['a', 'b', 'c'], ['d', 'e'], ['f', 'g', 'h']], [], ['x'], [new Apart(['x', 'd'])]);
        self::assertSame([], $result->moves);
        self::assertSame([['a', 'b', 'c', 'x'], ['d', 'e'], ['f', 'g', 'h']], $result->rounds[0]);
        self::assertSame(
            [['a', 'b', 'c'], ['d', 'e', 'x'], ['f', 'g', 'h']],
            self::repair([['a', 'b', 'c'], ['d', 'e'], ['f', 'g', 'h']], [], ['x'])->rounds[0],
        );
    }

    public function test_a_group_left_with_one_joins_another_and_the_teacher_is_told_why(): void
    {
        $result = self::repair([['a', 'b', 'c'], ['d', 'e', 'f'], ['g', 'h', 'i']], ['d', 'e'], []);
        self::assertCount(1, $result->moves);
        self::assertSame('moved.left(2; group(2); 1)', Plainly::said($result->moves[0]->because));
        self::assertSame([2, 2, 3], self::sizes($result), 'evener than seven in two groups');
    }

    public function test_one_missing_from_each_group_moves_nobody(): void
    {
        $result = self::repair([['a', 'b', 'c'], ['d', 'e', 'f']], ['a', 'd'], []);
        self::assertSame([['b', 'c'], ['e', 'f']], $result->rounds[0]);
        self::assertSame([], $result->moves);
    }

    public function test_a_late_student_saves_a_group_that_was_left_with_one(): void
    {
        $result = self::repair([['a', 'b', 'c'], ['d', 'e']], ['e'], ['x']);
        self::assertSame([], $result->moves);
        self::assertSame([['a', 'b', 'c'], ['d', 'x']], $result->rounds[0]);
    }

    public function test_a_late_student_who_must_be_with_somebody_in_a_full_group_pushes_somebody_else_out(): void
    {
        $result = self::repair([['a', 'b', 'c'], ['d', 'e']], [], ['x'], [new Together(['x', 'a'])], 3);
        self::assertCount(1, $result->moves);
        self::assertContains('x', $result->rounds[0][0]);
        self::assertContains('a', $result->rounds[0][0]);
    }

    public function test_rules_that_contradict_in_these_groups_are_named(): void
    {
        $result = self::repair(
            [['a', 'b'], ['c', 'd']],
            [],
            ['x'],
            [new Seat('x', 1), new Together(['x', 'c']), new Seat('c', 2)],
        );
        self::assertSame([0, 1, 2], $result->conflicts[0]->rules);
        self::assertSame(
            'conflict.several(rule.seat(x; 1), rule.together(x, c), rule.seat(c; 2); shape.at_most(2; 0))',
            Plainly::said($result->conflicts[0]->message),
        );
    }

    public function test_no_room_at_all_is_said(): void
    {
        $this->expectExceptionObject(ImpossibleShape::tooFewSeats(2, 2, 5));
        self::repair([['a', 'b'], ['c', 'd']], [], ['x'], [], 2);
    }

    public function test_a_whole_row_of_late_students_in_a_large_class_is_seated_evenly(): void
    {
        $current = array_chunk(\array_slice(RandomProblem::ids(120), 0, 104), 4);
        $late = \array_slice(RandomProblem::ids(120), 104);
        $random = new RandomProblem(8);
        $problem = new Problem(
            $random->students(120),
            null,
            MethodKind::Repair,
            goals: [new Spread('level', 1.0)],
            disturbance: new Disturbance(array_map(array_values(...), $current), ['s1', 's2', 's3'], $late),
        );
        $result = (new Repair())->solve($problem, new NoLimit());
        self::assertCount(117, array_merge(...$result->rounds[0]));
        self::assertLessThanOrEqual(1, \count($result->moves));
        foreach ($result->rounds[0] as $group) {
            self::assertNotCount(1, $group);
        }
    }

    /**
     * @return list<int>
     */
    private static function sizes(Result $result): array
    {
        $sizes = array_map('count', $result->rounds[0]);
        sort($sizes);

        return $sizes;
    }

    /**
     * @param list<list<string>> $current
     * @param list<string>       $absent
     * @param list<string>       $arrivals
     * @param list<Rule>         $rules
     */
    private static function repair(
        array $current,
        array $absent,
        array $arrivals,
        array $rules = [],
        ?int $maxSize = null,
    ): Result {
        $students = array_map(static fn (string $id): Student => new Student($id), [
            ...array_merge(...$current),
            ...$arrivals,
        ]);

        return (new Repair())->solve(
            new Problem(
                $students,
                null,
                MethodKind::Repair,
                rules: $rules,
                disturbance: new Disturbance($current, $absent, $arrivals, 2, $maxSize),
            ),
            new NoLimit(),
        );
    }

    /**
     * @return array{int, float}|null fewest moves, and the least goal cost among the ways with so many
     */
    private static function best(Problem $problem): ?array
    {
        $disturbance = $problem->disturbance ?? new Disturbance([]);
        $present = array_values(array_diff(RandomProblem::ids(\count($problem->students)), $disturbance->absent));
        $before = self::groupOf($disturbance->current);
        $oracle = self::among($problem);
        $best = null;
        foreach (
            Oracle::assignments($present, array_fill(0, \count($disturbance->current), []), \count($present)) as $groups
        ) {
            if (!self::isAllowed($problem, $groups)) {
                continue;
            }
            $moves = 0;
            foreach (self::groupOf($groups) as $id => $group) {
                $moves += isset($before[$id]) && $before[$id] !== $group ? 1 : 0;
            }
            $way = [$moves, $oracle->cost([$groups])];
            $best = null === $best || $way < $best ? $way : $best;
        }

        return $best;
    }

    /**
     * @param list<list<string>> $groups
     */
    private static function isAllowed(Problem $problem, array $groups): bool
    {
        $disturbance = $problem->disturbance ?? new Disturbance([]);
        $present = \count(array_merge(...$groups));
        foreach ($groups as $group) {
            if (
                [] !== $group
                && (\count($group) < min(2, $present) || \count($group) > ($disturbance->maxSize ?? $present))
            ) {
                return false;
            }
        }

        return (new Oracle($problem))->keeps($groups);
    }

    /**
     * The goals look at those who are here.
     */
    private static function among(Problem $problem): Oracle
    {
        $absent = $problem->disturbance->absent ?? [];

        return new Oracle(
            new Problem(
                array_values(
                    array_filter(
                        $problem->students,
                        static fn (Student $student): bool => !\in_array($student->id, $absent, true),
                    ),
                ),
                null,
                goals: $problem->goals,
                history: $problem->history,
            ),
        );
    }

    /**
     * @param list<list<string>> $groups
     *
     * @return array<string, int>
     */
    private static function groupOf(array $groups): array
    {
        $groupOf = [];
        foreach ($groups as $g => $group) {
            foreach ($group as $id) {
                $groupOf[$id] = $g;
            }
        }

        return $groupOf;
    }
}
