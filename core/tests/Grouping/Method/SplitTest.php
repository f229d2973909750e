<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Method\Split;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * Groups divided into parts.
 */
final class SplitTest extends TestCase
{
    public function test_nobody_leaves_their_group_and_parts_have_the_size_that_was_asked_for(): void
    {
        for ($n = 4; $n <= 40; ++$n) {
            foreach ([2, 3] as $size) {
                $within = self::chunks($n, 5);
                $result = (new Split())->solve(self::problem($n, $within, new Size($size)), new StepLimit(50));
                self::assertSame([], $result->conflicts);
                self::assertEqualsCanonicalizing(RandomProblem::ids($n), array_merge(...$result->rounds[0]));
                $sizes = [];
                foreach ($result->rounds[0] as $part) {
                    $homes = array_filter($within, static fn (array $group): bool => [] === array_diff($part, $group));
                    self::assertCount(1, $homes, "{$n} students, parts of {$size}");
                    $sizes[array_key_first($homes)][] = \count($part);
                }
                foreach ($within as $g => $group) {
                    self::assertEqualsCanonicalizing((new Size($size))->sizes(\count($group)), $sizes[$g]);
                }
            }
        }
    }

    public function test_the_parts_are_the_best_there_are(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $random = new RandomProblem($seed);
            $n = $random->number(6, 9);
            $within = self::chunks($n, $random->number(3, 5));
            $rules = $random->rules(
                $n,
                \count(
                    array_merge(
                        ...array_map(static fn (array $group): array => (new Size(2))->sizes(\count($group)), $within),
                    ),
                ),
                2,
            );
            $problem = new Problem(
                $random->students($n),
                new Size(2),
                MethodKind::Split,
                1,
                $rules,
                $random->goals($n),
                seed: $seed,
                within: $within,
            );
            $oracle = new Oracle($problem);
            $best = \INF;
            foreach (self::all($within) as $way) {
                $best = $oracle->keeps($way) ? min($best, $oracle->cost([$way])) : $best;
            }
            $result = (new Split())->solve($problem, new StepLimit(50));
            if (\INF === $best) {
                self::assertNotSame([], $result->conflicts, "seed {$seed}");
                self::assertSame([], $result->rounds);
                continue;
            }
            self::assertSame([], $result->conflicts, "seed {$seed}");
            self::assertTrue($oracle->keeps($result->rounds[0]), "seed {$seed}");
            self::assertEqualsWithDelta($best, $result->cost, 1e-6, "seed {$seed}");
            self::assertTrue($result->proven);
        }
    }

    public function test_who_must_be_together_and_sits_in_two_groups_is_told(): void
    {
        $problem = self::problem(8, [['s1', 's2', 's3', 's4'], ['s5', 's6', 's7', 's8']], new Size(2), [
            new Apart(['s1', 's2']),
            new Together(['s4', 's5']),
            new Seat('s1', 3),
        ]);
        $result = (new Split())->solve($problem, new StepLimit(50));
        self::assertSame([[1], [2]], array_map(static fn ($conflict): array => $conflict->rules, $result->conflicts));
        self::assertSame('grouping.conflict.across', $result->conflicts[0]->message->code);
    }

    public function test_several_rounds_bring_new_partners_inside_the_group(): void
    {
        $result = (new Split())->solve(
            new Problem(
                (new RandomProblem(3))->students(8),
                new Size(2),
                MethodKind::Split,
                3,
                goals: [new NewPartners(1.0)],
                within: [['s1', 's2', 's3', 's4'], ['s5', 's6', 's7', 's8']],
            ),
            new StepLimit(50),
        );
        self::assertCount(3, $result->rounds);
        self::assertSame(0, $result->repeats);
    }

    public function test_who_is_in_no_group_is_not_placed_and_large_groups_are_split_too(): void
    {
        $result = (new Split())->solve(
            self::problem(30, [\array_slice(RandomProblem::ids(30), 0, 26)], new Groups(4)),
            new StepLimit(50),
        );
        self::assertSame(['s27', 's28', 's29', 's30'], $result->unplaced);
        self::assertSame([7, 7, 6, 6], array_map('count', $result->rounds[0]));
    }

    /**
     * @param list<list<string>> $within
     * @param list<Rule>         $rules
     */
    private static function problem(int $n, array $within, Shape $shape, array $rules = []): Problem
    {
        $random = new RandomProblem($n);

        return new Problem(
            $random->students($n),
            $shape,
            MethodKind::Split,
            1,
            $rules,
            $random->goals($n),
            within: $within,
        );
    }

    /**
     * @return list<list<string>>
     */
    private static function chunks(int $n, int $size): array
    {
        $groups = array_chunk(RandomProblem::ids($n), max(1, $size));
        if (1 === \count($groups[\count($groups) - 1]) && \count($groups) > 1) {
            $groups[\count($groups) - 2] = [...$groups[\count($groups) - 2], ...array_pop($groups)];
        }

        return $groups;
    }

    /**
     * @param list<list<string>> $within
     *
     * @return \Generator<int, list<list<string>>>
     */
    private static function all(array $within): \Generator
    {
        if ([] === $within) {
            yield [];

            return;
        }
        $first = array_shift($within);
        foreach (Oracle::arrangements($first, (new Size(2))->sizes(\count($first))) as $parts) {
            foreach (self::all($within) as $rest) {
                yield [...$parts, ...$rest];
            }
        }
    }
}
