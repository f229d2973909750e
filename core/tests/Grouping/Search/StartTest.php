<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Search;

use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\NotIn;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Arrangements;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Grouping\Search\Exhaustive;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Start;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Sizes;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * Three ways look for arrangements that keep the rules; all three, and counting by hand, have to agree that there are
 * some.
 */
final class StartTest extends TestCase
{
    public function test_an_arrangement_is_found_just_where_there_is_one(): void
    {
        $none = 0;
        for ($seed = 0; $seed < 400; ++$seed) {
            $random = new RandomProblem(80_000 + $seed);
            $n = $random->number(4, 7);
            $groups = $random->number(2, 3);
            $rules = $random->rules($n, $groups, $random->number(1, 6));
            $shape = 0 === $seed % 3 ? new Sizes([2, $n - 2]) : new Groups($groups);
            $sizes = $shape->sizes($n);
            $setting = new Setting($random->students($n), $sizes);
            $musts = new Musts($setting, $rules);
            $oracle = new Oracle(new Problem([], null, rules: $rules));
            $kept = array_values(
                array_filter(
                    iterator_to_array(Oracle::arrangements(RandomProblem::ids($n), $sizes), false),
                    static fn (array $groups): bool => $oracle->keeps($groups),
                ),
            );
            $found = (new Start($setting, $musts, new Dice($seed)))->find();
            $none += [] === $kept ? 1 : 0;
            self::assertSame([] !== $kept, \is_array($found), "seed {$seed}");
            self::assertSame(
                [] !== $kept,
                null !== (new Exhaustive($setting, $musts, static fn (): float => 0.0))->solve(),
                "seed {$seed}",
            );
            $listed = (new Arrangements($setting, $musts))->all(10_000) ?? [];
            self::assertSame([] !== $kept, [] !== $listed, "seed {$seed}");
            foreach (\is_array($found) ? [$found, ...$listed] : [] as $groups) {
                self::assertTrue($oracle->keeps($setting->idsOf($groups)), "seed {$seed}");
                $here = array_map('count', $groups);
                rsort($here);
                self::assertSame($sizes, $here);
            }
        }
        self::assertGreaterThan(80, $none, 'contradictions were among them');
    }

    public function test_eleven_who_must_be_apart_do_not_fit_ten_groups_whatever_else_is_said_of_the_groups(): void
    {
        $rules = [new Apart(RandomProblem::ids(11))];
        for ($i = 1; $i <= 10; ++$i) {
            $rules[] = new NotIn('s'.(11 + $i), $i);
        }
        self::assertFalse(self::start(40, 10, $rules));
    }

    public function test_three_who_may_only_be_in_two_groups_cannot_all_be_apart(): void
    {
        $rules = [new Apart(['s1', 's2', 's3'])];
        foreach (['s1', 's2', 's3'] as $id) {
            foreach ([3, 4, 5, 6] as $group) {
                $rules[] = new NotIn($id, $group);
            }
        }
        self::assertFalse(self::start(24, 6, $rules));
        self::assertIsArray(self::start(24, 6, \array_slice($rules, 0, -4)));
    }

    public function test_a_family_larger_than_any_group_does_not_fit(): void
    {
        self::assertFalse(
            self::start(12, 4, [new Together(['s1', 's2']), new Together(['s2', 's3']), new Together(['s3', 's4'])]),
        );
        self::assertIsArray(
            self::start(12, 3, [new Together(['s1', 's2']), new Together(['s2', 's3']), new Together(['s3', 's4'])]),
        );
    }

    public function test_the_larger_groups_go_to_those_who_need_them(): void
    {
        $rules = array_map(static fn (int $i): Seat => new Seat("s{$i}", 4), [1, 2, 3, 4]);
        $found = self::start(13, 4, $rules);
        self::assertIsArray($found);
        self::assertSame([0, 1, 2, 3], $found[3]);
    }

    public function test_a_hundred_rules_for_a_thousand_students_are_no_trouble(): void
    {
        $rules = [];
        for ($i = 1; $i <= 300; $i += 3) {
            $rules[] =
                0 === $i % 2
                    ? new Apart(["s{$i}", 's'.($i + 1), 's'.($i + 2)])
                    : new Together(["s{$i}", 's'.($i + 1)]);
        }
        $found = self::start(1_000, 250, $rules);
        self::assertIsArray($found);
        self::assertCount(1_000, array_unique(array_merge(...$found)));
    }

    /**
     * @param list<Rule> $rules
     *
     * @return list<list<int>>|false|null
     */
    private static function start(int $n, int $groups, array $rules): array|false|null
    {
        $setting = new Setting((new RandomProblem(1))->students($n), (new Groups($groups))->sizes($n));

        return (new Start($setting, new Musts($setting, $rules), new Dice(1)))->find();
    }
}
