<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Method\Snowball;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * Pairs become fours, and fours become eights.
 */
final class SnowballTest extends TestCase
{
    public function test_groups_join_two_by_two_until_there_is_one(): void
    {
        for ($n = 4; $n <= 40; ++$n) {
            $random = new RandomProblem($n);
            $result = (new Snowball())->solve(
                new Problem($random->students($n), new Size(2), MethodKind::Snowball, 4, goals: $random->goals($n)),
                new StepLimit(20),
            );
            self::assertSame([], $result->conflicts);
            foreach ($result->rounds as $r => $groups) {
                self::assertEqualsCanonicalizing(RandomProblem::ids($n), array_merge(...$groups));
                if (0 === $r) {
                    continue;
                }
                $before = $result->rounds[$r - 1];
                self::assertCount(max(1, intdiv(\count($before), 2)), $groups, "{$n} students, round {$r}");
                $joined = [];
                foreach ($groups as $group) {
                    $parts = array_filter($before, static fn (array $part): bool => [] === array_diff($part, $group));
                    self::assertSame(\count($group), array_sum(array_map('count', $parts)), 'whole groups only');
                    $joined[] = \count($parts);
                }
                self::assertEqualsCanonicalizing(
                    [...array_fill(0, \count($groups) - 1, 2), 2 + (\count($before) % 2)],
                    $joined,
                );
            }
        }
    }

    public function test_an_odd_one_out_joins_the_smallest(): void
    {
        $students = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids(14));
        $result = (new Snowball())->solve(
            new Problem($students, new Size(2), MethodKind::Snowball, 2),
            new StepLimit(20),
        );
        self::assertEqualsCanonicalizing([4, 4, 6], array_map('count', $result->rounds[1]));
    }

    public function test_up_to_ten_students_two_rounds_are_the_best_there_are(): void
    {
        for ($seed = 1; $seed <= 25; ++$seed) {
            $random = new RandomProblem($seed);
            $n = $random->number(6, 8);
            $problem = new Problem(
                $random->students($n),
                new Size(2),
                MethodKind::Snowball,
                2,
                [new Apart(['s1', 's2'])],
                $random->goals($n),
                seed: $seed,
            );
            $oracle = new Oracle($problem);
            $best = \INF;
            foreach (Oracle::arrangements(RandomProblem::ids($n), (new Size(2))->sizes($n)) as $first) {
                foreach (self::joins($first) as $second) {
                    if ($oracle->keeps($first) && $oracle->keeps($second)) {
                        $best = min($best, $oracle->cost([$first, $second]));
                    }
                }
            }
            $result = (new Snowball())->solve($problem, new StepLimit(20));
            if (\INF === $best) {
                self::assertNotSame([], $result->conflicts);
                continue;
            }
            self::assertSame([], $result->conflicts, "seed {$seed}");
            self::assertEqualsWithDelta($best, $result->cost, 1e-6, "seed {$seed}");
            self::assertTrue($result->proven);
        }
    }

    public function test_who_joins_whom_is_chosen_by_the_goals(): void
    {
        // Of eight pairs four have a lead; after joining, every four can have one.
        $students = array_map(
            static fn (int $i): Student => new Student('s'.$i, tags: $i <= 4 ? ['lead'] : []),
            range(1, 16),
        );
        $result = (new Snowball())->solve(
            new Problem($students, new Size(2), MethodKind::Snowball, 2, goals: [new EachHas('lead', 1, 1.0)]),
            new StepLimit(200),
        );
        self::assertSame(4.0, $result->cost, 'four pairs without a lead, and no four');
    }

    public function test_where_nobody_may_join_it_is_told(): void
    {
        $students = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids(4));
        $result = (new Snowball())->solve(
            new Problem($students, new Size(2), MethodKind::Snowball, 2, [new Apart(['s1', 's2'])]),
            new StepLimit(20),
        );
        self::assertSame([[0]], array_map(static fn ($conflict): array => $conflict->rules, $result->conflicts));
        self::assertSame([], $result->rounds);
    }

    /**
     * @param list<list<string>> $groups
     *
     * @return \Generator<int, list<list<string>>>
     */
    private static function joins(array $groups): \Generator
    {
        if (0 === \count($groups) % 2) {
            yield from self::pairs($groups);

            return;
        }
        foreach ($groups as $out => $single) {
            foreach (self::pairs(array_values(array_diff_key($groups, [$out => true]))) as $paired) {
                $least = min(\PHP_INT_MAX, ...array_map('count', $paired));
                foreach ($paired as $at => $group) {
                    if (\count($group) === $least) {
                        yield array_values([...$paired, $at => [...$group, ...$single]]);
                    }
                }
            }
        }
    }

    /**
     * @param list<list<string>> $groups
     *
     * @return \Generator<int, list<list<string>>>
     */
    private static function pairs(array $groups): \Generator
    {
        if ([] === $groups) {
            yield [];

            return;
        }
        $first = array_shift($groups);
        foreach ($groups as $at => $other) {
            foreach (self::pairs(array_values(array_diff_key($groups, [$at => true]))) as $rest) {
                yield [[...$first, ...$other], ...$rest];
            }
        }
    }
}
