<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Lesson;

use FreshHuddle\Core\Lesson\Exception\UnusableOrder;
use FreshHuddle\Core\Lesson\RunningOrder;
use FreshHuddle\Core\Lesson\Segment;
use FreshHuddle\Core\Lesson\SegmentKind;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * How the minutes of a lesson are shared out.
 */
final class RunningOrderTest extends TestCase
{
    public function test_rounds_share_evenly_what_the_other_segments_leave_of_the_lesson(): void
    {
        foreach ([45, 50, 60, 90, 240] as $lesson) {
            foreach (range(1, 6) as $rounds) {
                $segments = [new Segment('briefing', SegmentKind::Briefing, 10)];
                $ids = [];
                for ($i = 1; $i <= $rounds; ++$i) {
                    $segments[] = new Segment($ids[] = "round{$i}", SegmentKind::Round, $i);
                }
                $segments[] = new Segment('shareOut', SegmentKind::ShareOut, 8);
                $order = RunningOrder::fromSegments($segments)->withEvenRounds($lesson, $ids);
                $minutes = array_map(
                    static fn (Segment $segment): int => $segment->minutes,
                    \array_slice($order->segments, 1, $rounds),
                );
                self::assertNotEmpty($minutes);
                self::assertSame($lesson, $order->minutes(), "{$rounds} rounds in {$lesson} minutes");
                self::assertLessThanOrEqual(1, max($minutes) - min($minutes));
                self::assertGreaterThanOrEqual(1, min($minutes));
                if ($lesson - 18 >= 5 * $rounds) {
                    self::assertSame(
                        [10, 8],
                        [$order->segments[0]->minutes, $order->segments[$rounds + 1]->minutes],
                        'the others stay as long as they are',
                    );
                }
            }
        }
    }

    public function test_a_lesson_begins_with_half_of_it_in_groups_and_every_minute_planned(): void
    {
        for ($minutes = 1; $minutes <= 600; ++$minutes) {
            $parts = RunningOrder::usual($minutes);
            self::assertSame($minutes, array_sum(array_column($parts, 1)));
            self::assertContains(SegmentKind::Round, array_column($parts, 0));
            foreach ($parts as [, $long]) {
                self::assertGreaterThanOrEqual(1, $long);
            }
        }
        self::assertSame(
            [[SegmentKind::Briefing, 12], [SegmentKind::Round, 25], [SegmentKind::ShareOut, 13]],
            RunningOrder::usual(50),
        );
    }

    public function test_it_says_when_minutes_are_left_or_too_many(): void
    {
        $order = self::order(10, 20, 15);
        self::assertSame(5, $order->spare(50));
        self::assertSame(0, $order->spare(45));
        self::assertSame(-5, $order->spare(40));
        self::assertSame(['s0' => 0, 's1' => 10, 's2' => 30], $order->begins());
    }

    public function test_next_goes_from_segment_to_segment(): void
    {
        $order = self::order(10, 20, 15);
        self::assertSame('s0', $order->after(null)?->id);
        self::assertSame('s1', $order->after('s0')?->id);
        self::assertSame('s2', $order->after('s1')?->id);
        self::assertNull($order->after('s2'));
        self::assertSame('s0', $order->after('taken out meanwhile')?->id);
    }

    public function test_an_edge_moves_time_between_neighbours_and_never_below_a_minute(): void
    {
        $dice = new Randomizer(new Xoshiro256StarStar(20));
        for ($i = 0; $i < 3_000; ++$i) {
            $order = self::anyOrder($dice);
            $position = $dice->getInt(0, \count($order->segments) - 1);
            $moved = $order->withEdge('s'.$position, $dice->getInt(-700, 700));
            foreach ($moved->segments as $at => $segment) {
                self::assertGreaterThanOrEqual(1, $segment->minutes);
                self::assertLessThanOrEqual(RunningOrder::LONGEST, $segment->minutes);
                if ($at !== $position && $at !== $position + 1) {
                    self::assertSame($order->segments[$at], $segment);
                }
            }
            if ($position < \count($order->segments) - 1) {
                self::assertSame($order->minutes(), $moved->minutes());
            }
        }
        $moved = self::order(10, 20, 15)->withEdge('s0', 4);
        self::assertSame([14, 16, 15], array_map(static fn (Segment $one): int => $one->minutes, $moved->segments));
    }

    public function test_fitted_to_the_lesson_it_adds_up_and_nobody_who_had_more_gets_less(): void
    {
        $dice = new Randomizer(new Xoshiro256StarStar(21));
        for ($i = 0; $i < 3_000; ++$i) {
            $order = self::anyOrder($dice);
            $lesson = $dice->getInt(\count($order->segments), 600);
            $fitted = $order->fitted($lesson);
            self::assertSame(0, $fitted->spare($lesson));
            foreach ($order->segments as $a => $one) {
                self::assertGreaterThanOrEqual(1, $fitted->segments[$a]->minutes);
                foreach ($order->segments as $b => $other) {
                    if ($one->minutes > $other->minutes) {
                        self::assertGreaterThanOrEqual(
                            $fitted->segments[$b]->minutes,
                            $fitted->segments[$a]->minutes,
                        );
                    }
                }
            }
        }
        self::assertEquals(self::order(10, 20, 15), self::order(10, 20, 15)->fitted(45));
    }

    public function test_rounds_are_numbered_in_their_order(): void
    {
        $order = RunningOrder::fromSegments([
            new Segment('a', SegmentKind::Briefing, 5),
            new Segment('b', SegmentKind::Round, 5),
            new Segment('c', SegmentKind::Pause, 5),
            new Segment('d', SegmentKind::Round, 5),
        ]);
        self::assertSame(['b' => 1, 'd' => 2], $order->rounds());
    }

    public function test_an_order_no_lesson_can_have_is_refused_with_the_place(): void
    {
        $refused = static function (Segment ...$segments): array {
            try {
                RunningOrder::fromSegments(array_values($segments));
            } catch (UnusableOrder $e) {
                return [$e->says->code, $e->position];
            }
            self::fail('It was not refused.');
        };
        $round = new Segment('r', SegmentKind::Round, 20);
        self::assertSame(['lesson.order.no_round', null], $refused());
        self::assertSame(['lesson.order.no_round', null], $refused(new Segment('a', SegmentKind::Pause, 5)));
        self::assertSame(['lesson.order.minutes', 1], $refused($round, new Segment('a', SegmentKind::Pause, 0)));
        self::assertSame(['lesson.order.minutes', 0], $refused(new Segment('a', SegmentKind::Round, 601)));
        self::assertSame(['lesson.order.twice', 1], $refused($round, $round));
        self::assertSame(
            ['lesson.order.too_many', null],
            $refused(
                $round,
                ...array_map(
                    static fn (int $i): Segment => new Segment('p'.$i, SegmentKind::Pause, 1),
                    range(1, 24),
                ),
            ),
        );
    }

    private static function order(int ...$minutes): RunningOrder
    {
        return RunningOrder::fromSegments(
            array_map(
                static fn (int $i): Segment => new Segment('s'.$i, SegmentKind::Round, array_values($minutes)[$i]),
                range(0, \count($minutes) - 1),
            ),
        );
    }

    private static function anyOrder(Randomizer $dice): RunningOrder
    {
        return self::order(...array_map(static fn (): int => $dice->getInt(1, 90), range(1, $dice->getInt(1, 12))));
    }

    public function test_work_of_another_segment_is_planned_with_the_round_before_it_or_else_the_first_after_it(): void
    {
        $kinds = [
            'a' => SegmentKind::Alone,
            'r1' => SegmentKind::Round,
            'b' => SegmentKind::Alone,
            'r2' => SegmentKind::Round,
            's' => SegmentKind::ShareOut,
            'c' => SegmentKind::Alone,
        ];
        $order = RunningOrder::fromSegments(
            array_map(
                static fn (string $id, SegmentKind $kind): Segment => new Segment($id, $kind, 5),
                array_keys($kinds),
                array_values($kinds),
            ),
        );
        self::assertSame(['r1', 'r1', 'r1', 'r2', 'r2', 'r2'], array_map($order->roundFor(...), array_keys($kinds)));
        self::assertNull($order->roundFor('gone'));
    }
}
