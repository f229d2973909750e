<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\DegreeUnit;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Search\Drawn;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * How far a goal is met, compared with the best there is.
 */
final class DegreeTest extends TestCase
{
    public function test_a_lead_in_three_of_six_groups_is_half_a_bar(): void
    {
        $students = array_map(
            static fn (int $i): Student => new Student('s'.$i, tags: $i < 3 ? ['lead'] : []),
            range(0, 11),
        );
        $degree = (new EachHas('lead'))->degree(new Setting($students, array_fill(0, 6, 2)), [
            [0, 3],
            [1, 4],
            [2, 5],
            [6, 7],
            [8, 9],
            [10, 11],
            [],
        ]);
        self::assertSame([0.5, DegreeUnit::Groups, 3, 6], [$degree->value, $degree->unit, $degree->met, $degree->of]);
    }

    public function test_students_and_pairs_are_counted(): void
    {
        $students = array_map(
            static fn (string $id, string $speaks): Student => new Student($id, attributes: ['speaks' => $speaks]),
            ['a', 'b', 'c', 'd', 'e'],
            ['so', 'so', 'so', 'pl', 'uk'],
        );
        $setting = new Setting($students, [3, 2], [[['a', 'b'], ['d', 'e']]]);
        $groups = [[0, 1, 3], [2, 4]];
        $alone = (new NotAlone('speaks'))->degree($setting, $groups);
        self::assertSame(
            [2, 3, DegreeUnit::Students],
            [$alone->met, $alone->of, $alone->unit],
            'of three who share a language one is alone; who shares none could not be helped',
        );
        $new = (new NewPartners())->degree($setting, $groups);
        self::assertSame([3, 4, DegreeUnit::Pairs], [$new->met, $new->of, $new->unit]);
        $wishes = (new Wishes(['a' => ['b', 'c'], 'c' => ['a'], 'd' => []]))->degree($setting, $groups);
        self::assertSame([1, 2, DegreeUnit::Students], [$wishes->met, $wishes->of, $wishes->unit]);
    }

    public function test_where_there_is_nothing_to_be_met_the_bar_is_full(): void
    {
        $setting = new Setting([new Student('a'), new Student('b')], [2]);
        foreach ([new NotAlone('x'), new Wishes([]), new Spread('x'), new Alike('x')] as $goal) {
            self::assertSame(1.0, $goal->degree($setting, [[0, 1]])->value);
        }
    }

    public function test_an_empty_bar_is_what_a_deal_at_random_costs_on_average_to_the_last_deal(): void
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            $random = new RandomProblem(90_000 + $seed);
            $n = $random->number(4, 7);
            $sizes = 0 === $seed % 2 ? [intdiv($n + 1, 2), intdiv($n, 2)] : [$n - 2, 2];
            $setting = new Setting($random->students($n), $sizes);
            foreach (
                [new Spread('level'), new Spread('language'), new Alike('level'), new Alike('language')] as $goal
            ) {
                [$sum, $deals] = [0.0, 0];
                $costs = [];
                foreach (Oracle::arrangements(RandomProblem::ids($n), $sizes) as $way) {
                    $numbers = array_map($setting->numbersOf(...), $way);
                    $cost = array_sum(
                        array_map(static fn (array $group): float => $goal->groupCost($setting, $group), $numbers),
                    );
                    $sum += $cost;
                    ++$deals;
                    $costs[] = [$cost, $numbers];
                }
                $this->barFitsTheCosts($goal, $setting, $costs, $sum / $deals, "seed {$seed}, ".$goal::class);
            }
        }
    }

    public function test_odds_of_a_draw_add_up_and_their_mean_is_the_share(): void
    {
        foreach (
            [[10, 4, 3], [28, 28, 5], [28, 0, 5], [400, 13, 40], [5, 2, 5], [1, 1, 1], [1_200, 600, 30]] as [
                $all,
                $kind,
                $size,
            ]
        ) {
            self::assertEqualsWithDelta(1.0, array_sum(Drawn::odds($all, $kind, $size)), 1e-9);
            self::assertEqualsWithDelta(
                ($size * $kind) / $all,
                Drawn::mean($all, $kind, $size, static fn (int $k): float => (float) $k),
                1e-9,
            );
        }
    }

    /**
     * @param list<array{float, list<list<int>>}> $costs every deal there is
     */
    private function barFitsTheCosts(Goal $goal, Setting $setting, array $costs, float $average, string $where): void
    {
        $bound = $goal->lowerBound($setting, 1);
        foreach ($costs as [$cost, $groups]) {
            $expected =
                $cost <= $bound + 1e-9
                    ? 1.0
                    : ($average <= $bound + 1e-9
                        ? 0.0
                        : max(0.0, 1.0 - ($cost - $bound) / ($average - $bound)));
            self::assertEqualsWithDelta($expected, $goal->degree($setting, $groups)->value, 1e-6, $where);
        }
    }
}
