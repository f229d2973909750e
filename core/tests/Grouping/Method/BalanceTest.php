<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Method\Balance;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Groups by goals and rules.
 */
final class BalanceTest extends TestCase
{
    public function test_for_small_classes_it_finds_the_best_there_is_for_every_goal_and_rule_kind(): void
    {
        $infeasible = 0;
        for ($seed = 0; $seed < 240; ++$seed) {
            $random = new RandomProblem($seed);
            $n = $random->number(4, 7);
            $groups = $random->number(2, 3);
            // Each goal by itself first, then all of them at once.
            $all = $random->goals($n);
            $goals = 0 === $seed % 9 ? $all : [$all[$seed % 8]];
            $problem = new Problem(
                $random->students($n),
                new Groups($groups),
                rules: $random->rules($n, $groups, $random->number(0, 4)),
                goals: $goals,
                history: $random->history($n, 2),
                seed: $seed,
            );
            $result = (new Balance())->solve($problem, new NoLimit());
            $best = self::bestCost($problem);
            if (null === $best) {
                ++$infeasible;
                self::assertFalse($result->keepsAllRules(), "seed {$seed}");
                self::assertSame([], $result->rounds);
                continue;
            }
            self::assertTrue($result->keepsAllRules(), "seed {$seed}");
            self::assertArrangement($problem, $result);
            self::assertTrue($result->proven);
            self::assertEqualsWithDelta($best, $result->cost, 1e-6, "seed {$seed}");
            self::assertEqualsWithDelta($best, (new Oracle($problem))->cost($result->rounds), 1e-6, "seed {$seed}");
        }
        self::assertGreaterThan(5, $infeasible, 'contradictions come up too');
    }

    public function test_ten_students_are_seated_at_the_true_optimum(): void
    {
        foreach ([3, 4] as $groups) {
            $random = new RandomProblem($groups);
            $problem = new Problem(
                $random->students(10),
                new Groups($groups),
                rules: [new Apart(['s1', 's2', 's3']), new Together(['s4', 's5'])],
                goals: $random->goals(10),
                history: $random->history(10, 1),
            );
            $result = (new Balance())->solve($problem, new NoLimit());
            self::assertEqualsWithDelta(self::bestCost($problem), $result->cost, 1e-6);
            self::assertTrue($result->proven);
        }
    }

    public function test_two_rounds_of_a_small_class_are_the_best_there_is(): void
    {
        for ($seed = 0; $seed < 24; ++$seed) {
            $random = new RandomProblem(900 + $seed);
            $n = $random->number(4, 6);
            $goals = [
                new NewPartners((float) $random->number(1, 3)),
                new Spread('level', (float) $random->number(0, 2)),
            ];
            $problem = new Problem(
                $random->students($n),
                new Groups(2),
                rounds: 2,
                rules: $random->rules($n, 2, $random->number(0, 2)),
                goals: $goals,
                history: $random->history($n, 1),
                seed: $seed,
            );
            $result = (new Balance())->solve($problem, new StepLimit(300));
            $oracle = new Oracle($problem);
            $rounds = array_values(
                array_filter(
                    iterator_to_array(
                        Oracle::arrangements(RandomProblem::ids($n), (new Groups(2))->sizes($n)),
                        false,
                    ),
                    $oracle->keeps(...),
                ),
            );
            $best = null;
            foreach ($rounds as $one) {
                foreach ($rounds as $other) {
                    $cost = $oracle->cost([$one, $other]);
                    $best = min($best ?? $cost, $cost);
                }
            }
            self::assertSame(null === $best, !$result->keepsAllRules(), "seed {$seed}");
            if (null !== $best) {
                self::assertEqualsWithDelta($best, $result->cost, 1e-6, "seed {$seed}");
                self::assertTrue($result->proven, "seed {$seed}");
            }
        }
    }

    public function test_whatever_is_asked_everybody_sits_once_sizes_are_right_and_rules_are_kept(): void
    {
        for ($seed = 0; $seed < 60; ++$seed) {
            $random = new RandomProblem(5_000 + $seed);
            $n = $random->number(11, 34);
            $shape = 0 === $seed % 2 ? new Groups($random->number(2, 8)) : new Size($random->number(2, 6));
            $groups = \count($shape->sizes($n));
            $problem = new Problem(
                $random->students($n),
                $shape,
                rounds: 1 + ($seed % 3),
                rules: $random->rules($n, $groups, $random->number(0, 6)),
                goals: $random->goals($n),
                history: $random->history($n, 2),
                seed: $seed,
            );
            $result = (new Balance())->solve($problem, new StepLimit(120));
            if ($result->keepsAllRules()) {
                self::assertArrangement($problem, $result);
                self::assertEqualsWithDelta((new Oracle($problem))->cost($result->rounds), $result->cost, 1e-6);
                foreach ($result->goals as $goal) {
                    self::assertLessThanOrEqual($goal->cost + 1e-9, $goal->lowerBound);
                }
            }
        }
    }

    public function test_the_same_seed_gives_the_same_answer_and_another_seed_may_give_another(): void
    {
        $solve = static function (int $seed): array {
            $random = new RandomProblem(3);

            return (new Balance())->solve(
                new Problem($random->students(24), new Groups(6), goals: $random->goals(24), seed: $seed),
                new StepLimit(200),
            )->rounds;
        };
        self::assertSame($solve(1), $solve(1));
        self::assertNotSame($solve(1), $solve(2));
    }

    public function test_it_gets_better_while_it_is_watched(): void
    {
        $random = new RandomProblem(12);
        $problem = new Problem(
            $random->students(40),
            new Groups(8),
            goals: [new Spread('level', 1.0), new Spread('language', 1.0)],
            seed: 5,
        );
        $costs = [];
        foreach ((new Balance())->improve($problem, new StepLimit(2_000)) as $result) {
            $costs[] = $result->cost;
        }
        self::assertGreaterThan(1, \count($costs));
        $sorted = $costs;
        rsort($sorted);
        self::assertSame($sorted, $costs);
    }

    #[DataProvider('rotations')]
    public function test_a_perfect_rotation_is_found_where_one_is_known(int $students, int $size, int $rounds): void
    {
        $class = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids($students));
        foreach ([[], [new NewPartners(1.0)]] as $goals) {
            $problem = new Problem($class, new Size($size), rounds: $rounds, goals: $goals, seed: 9);
            $result = (new Balance())->solve($problem, new StepLimit(20_000));
            self::assertSame(0, $result->repeats);
            self::assertSame(0.0, $result->cost);
            self::assertTrue($result->proven);
            self::assertArrangement($problem, $result);
        }
    }

    /**
     * @return iterable<string, array{int, int, int}>
     */
    public static function rotations(): iterable
    {
        yield '9 in threes for 4 rounds' => [9, 3, 4];
        yield '15 in threes for 7' => [15, 3, 7];
        yield '16 in fours for 5' => [16, 4, 5];
        yield '25 in fives for 6' => [25, 5, 6];
        yield '14 in threes for 7' => [14, 3, 7];
        yield '10 in pairs for 9' => [10, 2, 9];
        yield '8 in threes for 4' => [8, 3, 4];
        yield '20 in fours for 5' => [20, 4, 5];
        yield '32 in fours for 8' => [32, 4, 8];
        yield '12 in threes for 3, found by searching' => [12, 3, 3];
    }

    public function test_a_pair_that_must_be_together_repeats_and_nobody_else_does_more_than_needed(): void
    {
        $class = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids(12));
        $problem = new Problem(
            $class,
            new Size(3),
            rounds: 3,
            rules: [new Together(['s1', 's2']), new Apart(['s3', 's4'])],
            goals: [new NewPartners(1.0)],
            seed: 4,
        );
        $result = (new Balance())->solve($problem, new StepLimit(2_000));
        self::assertArrangement($problem, $result);
        self::assertSame(2, $result->repeats);
    }

    public function test_nobody_in_the_class_is_no_reason_to_fail(): void
    {
        $result = (new Balance())->solve(new Problem([], new Groups(3)), new NoLimit());
        self::assertSame([[]], $result->rounds);
    }

    private static function bestCost(Problem $problem): ?float
    {
        $oracle = new Oracle($problem);
        $n = \count($problem->students);
        $best = null;
        foreach (Oracle::arrangements(RandomProblem::ids($n), $problem->shape?->sizes($n) ?? []) as $groups) {
            if ($oracle->keeps($groups)) {
                $cost = $oracle->cost([$groups]);
                $best = min($best ?? $cost, $cost);
            }
        }

        return $best;
    }

    private static function assertArrangement(Problem $problem, Result $result): void
    {
        $ids = RandomProblem::ids(\count($problem->students));
        self::assertCount($problem->rounds, $result->rounds);
        foreach ($result->rounds as $groups) {
            $seated = array_merge(...$groups);
            self::assertEqualsCanonicalizing($ids, $seated, 'everybody once');
            $sizes = array_map('count', $groups);
            rsort($sizes);
            self::assertSame($problem->shape?->sizes(\count($ids)), $sizes);
            self::assertTrue((new Oracle($problem))->keeps($groups), 'rules');
        }
    }
}
