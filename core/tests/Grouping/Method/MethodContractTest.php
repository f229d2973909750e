<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Remainder;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What holds for every way of grouping. A new one is a row in `problem`.
 */
final class MethodContractTest extends TestCase
{
    #[DataProvider('kinds')]
    public function test_everybody_is_in_one_group_of_a_round_or_said_to_be_in_none_and_no_rule_is_broken_unsaid(
        MethodKind $kind,
    ): void {
        $placed = 0;
        for ($seed = 0; $seed < 40; ++$seed) {
            $problem = self::problem($kind, $seed, 12);
            $result = self::solved($problem);
            if (null === $result) {
                continue;
            }
            $ids = array_values(
                array_diff(
                    array_map(static fn (Student $student): string => $student->id, $problem->students),
                    $problem->disturbance->absent ?? [],
                ),
            );
            foreach ($result->rounds as $groups) {
                ++$placed;
                self::assertEqualsCanonicalizing(
                    array_values(array_diff($ids, $result->unplaced)),
                    array_merge(...$groups),
                    "seed {$seed}",
                );
                $named = array_merge(
                    [],
                    ...array_map(static fn ($conflict): array => $conflict->rules, $result->conflicts),
                );
                // Groups of experts and groups that have joined are numbered anew, so what is said of a number is said
                // of the others.
                $isNumberedAnew = \in_array($kind, [MethodKind::Jigsaw, MethodKind::Snowball], true);
                $holding = array_filter(
                    $problem->rules,
                    static fn (Rule $rule): bool => !$isNumberedAnew
                        || $rule instanceof Apart
                        || $rule instanceof Together,
                );
                $unnamed = array_values(array_diff_key($holding, array_flip($named)));
                self::assertTrue(
                    (new Oracle($problem))->keeps($groups, $unnamed),
                    "seed {$seed}: a rule is broken, and nobody says so",
                );
            }
            if ([] === $result->rounds) {
                self::assertNotSame([], $result->conflicts, 'nothing is found, and nothing is said');
            }
        }
        self::assertGreaterThan(20, $placed);
    }

    #[DataProvider('kinds')]
    public function test_the_same_problem_has_the_same_answer(MethodKind $kind): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            self::assertEquals(
                self::solved(self::problem($kind, $seed, 11)),
                self::solved(self::problem($kind, $seed, 11)),
            );
        }
    }

    #[DataProvider('kinds')]
    public function test_one_student_and_none_are_no_reason_to_break(MethodKind $kind): void
    {
        foreach ([0, 1, 2] as $students) {
            $result = self::solved(self::problem($kind, 1, $students));
            self::assertLessThanOrEqual($students, \count(array_merge([], ...$result->rounds[0] ?? [])));
        }
    }

    #[DataProvider('kinds')]
    public function test_a_limit_that_is_reached_at_once_still_has_an_answer(MethodKind $kind): void
    {
        $problem = self::problem($kind, 3, 40);
        $result = $kind
            ->method()
            ->solve(
                new Problem(
                    $problem->students,
                    $problem->shape,
                    $kind,
                    $problem->rounds,
                    [],
                    $problem->goals,
                    [],
                    3,
                    1,
                    $problem->topics,
                    $problem->disturbance,
                    $problem->within,
                ),
                new StepLimit(0),
            );
        self::assertNotSame([], $result->rounds);
    }

    /**
     * @return iterable<string, array{MethodKind}>
     */
    public static function kinds(): iterable
    {
        foreach (MethodKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /**
     * @return Result|null null where it says that it cannot be
     */
    private static function solved(Problem $problem): ?Result
    {
        try {
            return $problem->method->method()->solve($problem, new StepLimit(20));
        } catch (ImpossibleShape|NoWayFound $e) {
            self::assertStringStartsWith('grouping.', $e->says->code);

            return null;
        }
    }

    private static function problem(MethodKind $kind, int $seed, int $n): Problem
    {
        $random = new RandomProblem(5_000 + $seed);
        $students = $n > 0 ? $random->students($n) : [];
        $ids = array_map(static fn (Student $student): string => $student->id, $students);
        $three = array_values(array_filter(array_chunk($ids, max(1, (int) ceil($n / 3)))));
        $rules = $n > 4 && MethodKind::Repair !== $kind ? $random->rules($n, 3, $seed % 3) : [];
        $goals = $n > 1 ? \array_slice($random->goals($n), $seed % 6, 2) : [];
        $shape = match ($kind) {
            MethodKind::ByTable, MethodKind::Repair => null,
            MethodKind::Split, MethodKind::Snowball => new Size(2, Remainder::Spread),
            default => new Groups(min(3, max(1, $n))),
        };

        return new Problem(
            $students,
            $shape,
            $kind,
            MethodKind::Snowball === $kind ? 2 : 1,
            MethodKind::ByTable === $kind
                ? array_values(array_filter($rules, static fn (Rule $rule): bool => \count($rule->students()) > 1))
                : $rules,
            $goals,
            $n > 1 ? $random->history($n, 1) : [],
            $seed,
            topics: MethodKind::Jigsaw === $kind ? ['housing', 'water'] : [],
            disturbance: MethodKind::Repair === $kind
                ? new Disturbance([] === $three ? [[]] : $three, \array_slice($ids, 0, min(2, max(0, $n - 1))), [])
                : null,
            within: MethodKind::Split === $kind ? $three : [],
        );
    }
}
