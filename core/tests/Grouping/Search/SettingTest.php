<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Search;

use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Student;
use PHPUnit\Framework\TestCase;

/**
 * Attributes are made comparable before groups are looked for.
 */
final class SettingTest extends TestCase
{
    public function test_numbers_become_standard_scores_and_those_without_one_are_left_out(): void
    {
        $setting = new Setting(
            [
                new Student('a', attributes: ['x' => 1]),
                new Student('b', attributes: ['x' => 3.0]),
                new Student('c'),
                new Student('d', attributes: ['x' => 5]),
            ],
            [4],
        );
        $scores = $setting->scores('x');
        self::assertNotNull($scores);
        self::assertSame([0, 1, 3], array_keys($scores));
        self::assertEqualsWithDelta([-1.2247, 0.0, 1.2247], array_values($scores), 1e-4);
        self::assertSame([], $setting->scores('nothing'));
    }

    public function test_where_all_values_are_the_same_or_some_are_words_there_is_no_score(): void
    {
        $same = new Setting(
            [new Student('a', attributes: ['x' => 7]), new Student('b', attributes: ['x' => 7])],
            [2],
        );
        self::assertSame([0.0, 0.0], $same->scores('x'));
        $mixed = new Setting(
            [new Student('a', attributes: ['x' => 7]), new Student('b', attributes: ['x' => 'high'])],
            [2],
        );
        self::assertNull($mixed->scores('x'));
        self::assertSame([[0 => 0, 1 => 1], [1, 1]], $mixed->codes('x'));
    }

    public function test_the_last_time_counts_once_the_time_before_half(): void
    {
        $class = array_map(static fn (string $id): Student => new Student($id), ['a', 'b', 'c']);
        $setting = new Setting($class, [3], [[['a', 'b']], [['a', 'gone', 'c'], ['b']], [['a', 'b', 'c']]]);
        self::assertSame(1.25, $setting->met()[0][1] ?? null);
        self::assertSame(1.5, $setting->met()[0][2] ?? null);
        self::assertSame(1.0, $setting->met()[2][1] ?? null);
    }

    public function test_chance_is_even_and_the_same_for_the_same_seed(): void
    {
        $dice = new Dice(5);
        $counts = array_fill(0, 7, 0);
        for ($i = 0; $i < 70_000; ++$i) {
            ++$counts[$dice->below(7)];
        }
        foreach ($counts as $count) {
            self::assertEqualsWithDelta(10_000, $count, 450);
        }
        [$one, $other] = [new Dice(9), new Dice(9)];
        for ($i = 0; $i < 5_000; ++$i) {
            self::assertSame($one->below(1_000), $other->below(1_000));
        }
        $sum = 0.0;
        for ($i = 0; $i < 10_000; ++$i) {
            $fraction = $one->fraction();
            self::assertGreaterThanOrEqual(0.0, $fraction);
            self::assertLessThan(1.0, $fraction);
            $sum += $fraction;
        }
        self::assertEqualsWithDelta(5_000, $sum, 150);
        self::assertEqualsCanonicalizing(range(1, 50), $dice->shuffle(range(1, 50)));
    }

    public function test_a_move_into_a_smaller_group_is_a_swap_with_a_vacancy_and_keeps_the_sizes(): void
    {
        $seating = new Arrangement([[0, 1, 2], [3, 4]], 5);
        self::assertSame(6, $seating->all);
        self::assertTrue($seating->keepsSizes(0, 5), 'from three to two');
        self::assertFalse($seating->keepsSizes(5, 5));
        $seating->swap(0, 5);
        self::assertSame([[1, 2], [0, 3, 4]], $seating->groups());
        self::assertSame([2, 3], $seating->size);
        self::assertFalse($seating->keepsSizes(1, 5), 'not from two to three');
        $seating->swap(5, 3);
        self::assertSame([[1, 2, 3], [0, 4]], $seating->groups());
    }

    public function test_larger_groups_come_first_where_no_rule_names_them(): void
    {
        $setting = new Setting(array_map(static fn (int $i): Student => new Student('s'.$i), range(0, 6)), [
            3,
            2,
            2,
        ]);
        self::assertSame(
            [[2, 3, 4], [0, 1], [5, 6]],
            Report::largerFirst([[0, 1], [2, 3, 4], [5, 6]], new Musts($setting, [])),
        );
        self::assertSame(
            [[0, 1], [2, 3, 4], [5, 6]],
            Report::largerFirst([[0, 1], [2, 3, 4], [5, 6]], new Musts($setting, [new Seat('s0', 1)])),
        );
        self::assertSame(
            [[2, 3, 4], [0, 1], [5, 6]],
            Report::largerFirst([[5, 6], [0, 1], [2, 3, 4]], new Musts($setting, [new Seat('s0', 2)])),
        );
    }
}
