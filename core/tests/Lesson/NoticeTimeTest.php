<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Lesson;

use FreshHuddle\Core\Lesson\NoticeTime;
use FreshHuddle\Core\Lesson\RoundState;
use PHPUnit\Framework\TestCase;

/**
 * When what was prepared is said.
 */
final class NoticeTimeTest extends TestCase
{
    public function test_two_minutes_before_the_end_follows_an_end_that_is_moved(): void
    {
        $before = new NoticeTime(true, 120);
        self::assertSame(480_000, $before->due(new RoundState(0, 0, 600_000)));
        self::assertSame(780_000, $before->due(new RoundState(0, 0, 900_000)));
    }

    public function test_five_minutes_after_going_out_stays_there(): void
    {
        $after = new NoticeTime(false, 300);
        self::assertSame(320_000, $after->due(new RoundState(0, 20_000, 600_000)));
        self::assertSame(320_000, $after->due(new RoundState(0, 20_000, 900_000)));
    }

    public function test_in_a_round_shorter_than_that_it_is_said_as_they_go_out(): void
    {
        self::assertSame(20_000, (new NoticeTime(true, 120))->due(new RoundState(0, 20_000, 80_000)));
    }

    public function test_nothing_is_said_while_nobody_is_out_or_everybody_comes_back_or_the_clock_stands_still(): void
    {
        foreach ([new NoticeTime(true, 120), new NoticeTime(false, 120)] as $time) {
            self::assertNull($time->due(RoundState::planned()));
            self::assertNull($time->due(new RoundState(0, 0, 600_000, 30, 100_000, 130_000)));
            self::assertNull($time->due(new RoundState(0, 0, 600_000, 30, pausedAt: 100_000)));
        }
    }
}
