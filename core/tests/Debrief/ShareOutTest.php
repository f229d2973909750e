<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Debrief;

use FreshHuddle\Core\Debrief\ShareOut\ReportOrder;
use FreshHuddle\Core\Debrief\ShareOut\Turns;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Groups report in an order, each with its time.
 */
final class ShareOutTest extends TestCase
{
    private const GROUPS = ['quayside', 'millbrook', 'saltmarsh', 'station', 'orchard', 'lark'];

    public function test_a_drawn_order_has_every_group_once_and_is_the_same_for_the_same_seed(): void
    {
        $seen = [];
        foreach (range(1, 200) as $seed) {
            $order = ReportOrder::Drawn->arrange(self::GROUPS, [], $seed);
            self::assertSame($order, ReportOrder::Drawn->arrange(self::GROUPS, [], $seed));
            $seen[$order[0]] = true;
            sort($order);
            $all = self::GROUPS;
            sort($all);
            self::assertSame($all, $order);
        }
        self::assertCount(6, $seen, 'any group can be the first');
    }

    public function test_by_progress_whoever_has_least_begins_and_equals_stay_as_they_are(): void
    {
        self::assertSame(
            ['station', 'lark', 'saltmarsh', 'orchard', 'quayside', 'millbrook'],
            ReportOrder::ByProgress->arrange(
                self::GROUPS,
                ['quayside' => 0.8, 'millbrook' => 0.8, 'saltmarsh' => 0.5, 'orchard' => 0.5, 'lark' => 0.1],
                1,
            ),
        );
    }

    public function test_by_hand_is_as_it_was_put(): void
    {
        self::assertSame(self::GROUPS, ReportOrder::ByHand->arrange(self::GROUPS, ['lark' => 1.0], 9));
    }

    public function test_time_is_divided_evenly(): void
    {
        self::assertSame([120_000, 120_000, 120_000], Turns::divide(360_000, [1, 1, 1]));
        self::assertSame([180_000, 90_000], Turns::divide(270_000, [2, 1]));
    }

    public function test_who_stops_early_leaves_time_to_those_who_come(): void
    {
        // Six minutes for three; the first needs one of its two: five are left for two.
        self::assertSame([150_000, 150_000], Turns::divide(300_000, [1, 1]));
    }

    public function test_late_as_it_is_everybody_has_half_a_minute(): void
    {
        self::assertSame([30_000, 30_000], Turns::divide(-5_000, [1, 1]));
        self::assertSame([], Turns::divide(60_000, []));
    }

    public function test_nobody_gets_more_than_there_is_unless_there_is_too_little_for_all(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(5));
        for ($i = 0; $i < 2_000; ++$i) {
            $left = $chance->getInt(-100_000, 4_000_000);
            $shares = array_map(static fn (): int => $chance->getInt(1, 5), range(1, $chance->getInt(1, 40)));
            $times = Turns::divide($left, $shares);
            self::assertCount(\count($shares), $times);
            self::assertGreaterThanOrEqual(Turns::LEAST, min($times));
            self::assertSame(0, array_sum($times) % 1_000);
            if (min($times) > Turns::LEAST) {
                self::assertLessThanOrEqual($left, array_sum($times));
                self::assertGreaterThan($left - 1_000 * (\count($shares) + 1), array_sum($times));
            }
        }
    }
}
