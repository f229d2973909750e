<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Goal;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * What goals cost, by examples one can work out on paper, and by the book.
 */
final class GoalCostTest extends TestCase
{
    public function test_levels_spread_perfectly_cost_nothing_and_sorted_ones_the_most(): void
    {
        // Levels 1, 1, 3, 3: half of the class has at most 1; ½ · ½ is what the cost is divided by.
        $class = self::withLevels([1, 1, 3, 3]);
        self::assertEqualsWithDelta(0.0, self::cost(new Spread('level'), $class, [[0, 2], [1, 3]]), 1e-9);
        // Two groups of two, in one all have at most 1, in the other nobody: (2 · ½² + 2 · ½²) / ¼ = 4.
        self::assertEqualsWithDelta(4.0, self::cost(new Spread('level'), $class, [[0, 1], [2, 3]]), 1e-9);
    }

    public function test_levels_alike_are_the_other_side_of_the_same_sum(): void
    {
        $class = self::withLevels([1, 1, 3, 3]);
        self::assertEqualsWithDelta(0.0, self::cost(new Alike('level'), $class, [[0, 1], [2, 3]]), 1e-9);
        self::assertEqualsWithDelta(4.0, self::cost(new Alike('level'), $class, [[0, 2], [1, 3]]), 1e-9);
    }

    public function test_who_has_no_level_counts_for_nothing_in_it(): void
    {
        $class = [...self::withLevels([1, 3]), new Student('x'), new Student('y')];
        self::assertEqualsWithDelta(2.0, self::cost(new Spread('level'), $class, [[0, 2], [1, 3]]), 1e-9);
        self::assertEqualsWithDelta(0.0, self::cost(new Spread('level'), $class, [[0, 1], [2, 3]]), 1e-9);
        self::assertEqualsWithDelta(0.0, self::cost(new Alike('level'), $class, [[0, 2], [1, 3]]), 1e-9);
    }

    public function test_where_everybody_has_the_same_level_nothing_can_be_wrong(): void
    {
        $class = self::withLevels([2, 2, 2, 2]);
        self::assertSame(0.0, self::cost(new Spread('level'), $class, [[0, 1, 2], [3]]));
        self::assertSame(0.0, self::cost(new Alike('level'), $class, [[0, 1, 2], [3]]));
    }

    public function test_words_are_spread_by_how_far_shares_are_from_those_of_the_class(): void
    {
        // Three Somali speakers and three others in two threes: no group can have one and a half of them.
        $class = self::withLanguages(['so', 'so', 'so', 'en', 'en', 'en']);
        $setting = new Setting($class, [3, 3]);
        // Each share is ⅔ − ½ = 1/6 off: 2 groups · 3 · 2 · 1/36, over 2 · ½ · ½.
        self::assertEqualsWithDelta(2 / 3, self::cost(new Spread('language'), $class, [[0, 1, 3], [2, 4, 5]]), 1e-9);
        self::assertEqualsWithDelta(
            2 / 3,
            (new Spread('language'))->lowerBound($setting, 1),
            1e-9,
            'and that is known to be the least',
        );
        // All three together: each share is ½ off, 2 · 3 · 2 · ¼ over ½.
        self::assertEqualsWithDelta(6.0, self::cost(new Spread('language'), $class, [[0, 1, 2], [3, 4, 5]]), 1e-9);
    }

    public function test_two_high_achievers_in_one_group_and_none_in_another_is_not_mixed(): void
    {
        // Two groups of three with the same mean: 3, 3, 0 here and 2, 2, 2 there. By means alone that was as good as
        // can be.
        $class = self::withLevels([3, 3, 0, 2, 2, 2]);
        $goal = new Spread('level');
        $together = self::cost($goal, $class, [[0, 1, 2], [3, 4, 5]]);
        $apart = self::cost($goal, $class, [[0, 2, 3], [1, 4, 5]]);
        self::assertGreaterThan($apart, $together);
        self::assertLessThan(1.0, $goal->degree(new Setting($class, [3, 3]), [[0, 1, 2], [3, 4, 5]])->value);
    }

    public function test_many_different_numbers_are_told_apart_by_their_quantiles(): void
    {
        $class = self::withLevels(range(1, 96));
        $halves = [range(0, 47), range(48, 95)];
        $even = [range(0, 95, 2), range(1, 95, 2)];
        self::assertGreaterThan(20.0, self::cost(new Spread('level'), $class, $halves));
        self::assertLessThan(0.2, self::cost(new Spread('level'), $class, $even));
        self::assertCount(23, (new Setting($class, [48, 48]))->distribution('level')->weights);
    }

    public function test_words_alike_cost_a_pair_that_differs(): void
    {
        $class = self::withLanguages(['so', 'so', 'en', 'en', null]);
        self::assertSame(0.0, self::cost(new Alike('language'), $class, [[0, 1, 4], [2, 3]]));
        self::assertSame(2.0, self::cost(new Alike('language'), $class, [[0, 2, 4], [1, 3]]));
    }

    public function test_a_lead_in_each_counts_the_leads_that_are_missing(): void
    {
        $class = [
            new Student('a', tags: ['lead']),
            new Student('b', tags: ['lead', 'calm']),
            new Student('c'),
            new Student('d'),
        ];
        self::assertSame(0.0, self::cost(new EachHas('lead'), $class, [[0, 2], [1, 3]]));
        self::assertSame(1.0, self::cost(new EachHas('lead'), $class, [[0, 1], [2, 3]]));
        self::assertSame(2.0, self::cost(new EachHas('lead', 2), $class, [[0, 1], [2, 3]]));
        self::assertSame(2.0, self::cost(new EachHas('nobody'), $class, [[0, 1], [2, 3]]));
    }

    public function test_alone_is_only_who_could_have_company(): void
    {
        $class = self::withLanguages(['so', 'so', 'en', 'fi', null]);
        // The one Finn of the class is no fault of the grouping, nor is who has no language.
        self::assertSame(2.0, self::cost(new NotAlone('language'), $class, [[0, 2], [1, 3, 4]]));
        self::assertSame(0.0, self::cost(new NotAlone('language'), $class, [[0, 1], [2, 3, 4]]));
    }

    public function test_old_partners_cost_what_they_met_the_last_time_most(): void
    {
        $class = [new Student('a'), new Student('b'), new Student('c'), new Student('d')];
        $setting = new Setting($class, [2, 2], [[['a', 'b'], ['c', 'd']], [['a', 'c'], ['b', 'd']]]);
        $evaluation = new Evaluation($setting, [new NewPartners()]);
        self::assertSame(1.0, $evaluation->cost([[[0, 1], [2, 3]]]), 'twice ½, for the time before last');
        self::assertSame(2.0, $evaluation->cost([[[0, 2], [1, 3]]]));
        self::assertSame(0.0, $evaluation->cost([[[0, 3], [1, 2]]]));
        // In a rotation the second time costs one more, the third two more.
        self::assertSame(0.0 + 2.0, $evaluation->cost([[[0, 3], [1, 2]], [[0, 3], [1, 2]]]));
        self::assertSame(0.0 + 2.0 + 4.0, $evaluation->cost(array_fill(0, 3, [[0, 3], [1, 2]])));
    }

    public function test_a_wish_is_met_by_any_one_of_those_wished_for(): void
    {
        $class = [new Student('a'), new Student('b'), new Student('c'), new Student('d')];
        $wishes = new Wishes(['a' => ['b', 'c'], 'b' => ['a'], 'd' => [], 'gone' => ['a']]);
        self::assertSame(1.0, self::cost($wishes, $class, [[0, 2], [1, 3]]), 'b misses a');
        self::assertSame(0.0, self::cost($wishes, $class, [[0, 1], [2, 3]]));
        self::assertSame(2.0, self::cost($wishes, $class, [[0, 3], [1, 2]]));
        self::assertSame(
            1.0,
            self::cost(new Wishes(['a' => ['a']]), $class, [[0, 3], [1, 2]]),
            'oneself is no company',
        );
    }

    public function test_every_goal_costs_what_the_book_says_and_never_less_than_its_bound(): void
    {
        for ($seed = 0; $seed < 150; ++$seed) {
            $random = new RandomProblem(90_000 + $seed);
            $n = $random->number(4, 16);
            $rounds = $random->number(1, 3);
            $shape = new Groups($random->number(2, 4));
            $problem = new Problem(
                $random->students($n),
                $shape,
                rounds: $rounds,
                goals: $random->goals($n),
                history: $random->history($n, 2),
            );
            $setting = Setting::fromProblem($problem, $shape);
            $arranged = [];
            for ($round = 0; $round < $rounds; ++$round) {
                $ids = $random->some($n, $n);
                $groups = [];
                foreach ($setting->sizes as $size) {
                    $groups[] = $setting->numbersOf(array_splice($ids, 0, $size));
                }
                $arranged[] = $groups;
            }
            $oracle = new Oracle($problem);
            $byId = array_map($setting->idsOf(...), $arranged);
            $evaluation = new Evaluation($setting, $problem->goals);
            foreach ($problem->goals as $number => $goal) {
                $cost = $evaluation->goalCost($goal, $arranged);
                self::assertEqualsWithDelta(
                    $oracle->goalCost($goal, $byId),
                    $cost,
                    1e-9,
                    "goal {$number}, seed {$seed}",
                );
                self::assertLessThanOrEqual(
                    $cost + 1e-9,
                    $goal->lowerBound($setting, $rounds),
                    "goal {$number}, seed {$seed}",
                );
            }
            self::assertEqualsWithDelta($oracle->cost($byId), $evaluation->cost($arranged), 1e-9);
        }
    }

    public function test_the_bound_for_alike_is_reached_where_levels_can_be_sorted_into_groups(): void
    {
        $class = self::withLevels([1, 1, 1, 2, 2, 2, 5, 5]);
        $goal = new Alike('level');
        $setting = new Setting($class, [3, 3, 2]);
        self::assertEqualsWithDelta(0.0, $goal->lowerBound($setting, 1), 1e-9);
        $uneven = new Setting(self::withLevels([1, 2, 3, 4]), [2, 2]);
        self::assertEqualsWithDelta(
            self::cost($goal, self::withLevels([1, 2, 3, 4]), [[0, 1], [2, 3]]),
            $goal->lowerBound($uneven, 1),
            1e-9,
        );
    }

    public function test_the_bound_for_new_partners_counts_the_meetings_that_have_to_happen(): void
    {
        $class = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids(4));
        $setting = new Setting($class, [2, 2]);
        $goal = new NewPartners();
        self::assertSame(0.0, $goal->lowerBound($setting, 3), 'three rounds of pairs, six pairs');
        self::assertSame(2.0, $goal->lowerBound($setting, 4), 'two meetings more');
        self::assertSame(
            18.0,
            $goal->lowerBound(new Setting($class, [4]), 3),
            'all together three times: six pairs cost 0, 1 and 2',
        );
    }

    /**
     * @param list<Student>   $class
     * @param list<list<int>> $groups
     */
    private static function cost(Goal $goal, array $class, array $groups): float
    {
        return (new Evaluation(new Setting($class, array_map('count', $groups)), [$goal]))->goalCost($goal, [
            $groups,
        ]);
    }

    /**
     * @param list<int> $levels
     *
     * @return list<Student>
     */
    private static function withLevels(array $levels): array
    {
        $class = [];
        foreach ($levels as $i => $level) {
            $class[] = new Student('s'.$i, attributes: ['level' => $level]);
        }

        return $class;
    }

    /**
     * @param list<string|null> $languages
     *
     * @return list<Student>
     */
    private static function withLanguages(array $languages): array
    {
        $class = [];
        foreach ($languages as $i => $language) {
            $class[] = new Student('s'.$i, attributes: null === $language ? [] : ['language' => $language]);
        }

        return $class;
    }
}
