<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Method\Deal;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\NotIn;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * Groups at random.
 */
final class DealTest extends TestCase
{
    public function test_every_arrangement_that_keeps_the_rules_is_as_likely_as_any_other(): void
    {
        // Five in two groups, so that sizes differ and group 2 may be the larger or the smaller one.
        $rules = [new Apart(['s1', 's2']), new Seat('s3', 2)];
        $counts = [];
        $rounds = 9_000;
        for ($seed = 0; $seed < $rounds; ++$seed) {
            $groups = self::deal(5, 2, $rules, $seed)->rounds[0];
            array_walk($groups, static function (array &$group): void {
                sort($group);
            });
            $key = json_encode($groups, \JSON_THROW_ON_ERROR);
            $counts[$key] = ($counts[$key] ?? 0) + 1;
        }
        $oracle = new Oracle(new Problem([], null, rules: $rules));
        $allowed = array_filter(
            iterator_to_array(Oracle::arrangements(RandomProblem::ids(5), [3, 2]), false),
            static fn (array $groups): bool => $oracle->keeps($groups),
        );
        self::assertCount(\count($allowed), $counts);
        $expected = $rounds / \count($allowed);
        $chiSquare = array_sum(
            array_map(static fn (int $count): float => ($count - $expected) ** 2 / $expected, $counts),
        );
        self::assertLessThan(2.5 * \count($allowed) + 12, $chiSquare);
    }

    public function test_rules_so_tight_that_no_shuffle_keeps_them_are_kept_all_the_same(): void
    {
        $rules = [];
        for ($i = 1; $i <= 24; $i += 2) {
            $rules[] = new Together(["s{$i}", 's'.($i + 1)]);
        }
        $rules[] = new Seat('s1', 6);
        $rules[] = new NotIn('s3', 1);
        $seen = [];
        for ($seed = 0; $seed < 20; ++$seed) {
            $result = self::deal(24, 6, $rules, $seed);
            self::assertTrue((new Oracle(new Problem([], null, rules: $rules)))->keeps($result->rounds[0]));
            self::assertEqualsCanonicalizing(RandomProblem::ids(24), array_merge(...$result->rounds[0]));
            $seen[json_encode($result->rounds, \JSON_THROW_ON_ERROR)] = true;
        }
        self::assertCount(20, $seen, 'and no two deals are the same');
    }

    public function test_rules_that_contradict_each_other_are_named(): void
    {
        $result = self::deal(6, 2, [new Seat('s1', 1), new Seat('s2', 1), new Apart(['s1', 's2'])], 1);
        self::assertSame([], $result->rounds);
        self::assertSame([0, 1, 2], $result->conflicts[0]->rules);
        self::assertSame(RandomProblem::ids(6), $result->unplaced);
    }

    /**
     * @param list<Rule> $rules
     */
    private static function deal(int $students, int $groups, array $rules, int $seed): Result
    {
        $class = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids($students));

        return (new Deal())->solve(
            new Problem($class, new Groups($groups), rules: $rules, seed: $seed),
            new NoLimit(),
        );
    }
}
