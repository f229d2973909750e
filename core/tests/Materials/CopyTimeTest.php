<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials;

use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Materials\CopyOpen;
use FreshHuddle\Core\Materials\CopyTime;
use PHPUnit\Framework\TestCase;

/**
 * When a copy can be read and written.
 */
final class CopyTimeTest extends TestCase
{
    private const MINUTE = 60_000;

    public function test_work_of_groups_opens_with_its_round(): void
    {
        $time = new CopyTime(self::round(10 * self::MINUTE));
        self::assertSame(CopyOpen::Write, $time->stateAt(11 * self::MINUTE));
        self::assertSame(
            CopyOpen::Closed,
            (new CopyTime(new RoundState()))->stateAt(11 * self::MINUTE),
            'planned, and not sent out',
        );
    }

    public function test_work_done_alone_opens_when_the_lesson_comes_to_its_segment_whatever_the_round_does(): void
    {
        foreach ([[null, false], [0, false], [1, false], [2, true], [3, true]] as [$lessonAt, $isOpen]) {
            foreach ([new RoundState(), self::round(0)] as $round) {
                $time = new CopyTime($round, true, 2, $lessonAt);
                self::assertSame($isOpen ? CopyOpen::Write : CopyOpen::Closed, $time->stateAt(self::MINUTE));
                self::assertSame($isOpen, $time->takes(self::MINUTE));
            }
        }
        self::assertSame(
            CopyOpen::Closed,
            (new CopyTime(self::round(0), true, null, 3))->stateAt(self::MINUTE),
            'its segment is not in the running order any more',
        );
    }

    public function test_an_exit_ticket_waits_for_the_student_until_its_own_time_whatever_the_lesson_does(): void
    {
        $end = 50 * self::MINUTE;
        foreach ([$end - 5 * self::MINUTE, $end + 600 * self::MINUTE] as $closes) {
            foreach ([false, true] as $locks) {
                foreach ([null, $end] as $ended) {
                    $time = new CopyTime(self::round(0), true, 2, 3, $ended, $locks, $closes);
                    self::assertSame(CopyOpen::Write, $time->stateAt($closes - 1));
                    self::assertTrue($time->isAtWork($closes - 1));
                    self::assertSame(CopyOpen::Read, $time->stateAt($closes));
                    self::assertTrue($time->takes($closes + CopyTime::LATE - 1), 'typed without a line');
                    self::assertFalse($time->takes($closes + CopyTime::LATE));
                }
            }
        }
        $group = new CopyTime(self::round(0), false, null, 3, null, false, $end);
        self::assertSame(CopyOpen::Write, $group->stateAt($end + self::MINUTE), 'work of groups has no such time');
    }

    public function test_after_the_lesson_both_stay_open_or_can_only_be_read_as_the_teacher_chose(): void
    {
        $end = 50 * self::MINUTE;
        foreach ([false, true] as $alone) {
            $open = new CopyTime(self::round(0), $alone, 2, 3, $end, false);
            self::assertSame(
                [CopyOpen::Write, true],
                [$open->stateAt($end + 1_000 * self::MINUTE), $open->takes($end + 1_000 * self::MINUTE)],
            );
            $locked = new CopyTime(self::round(0), $alone, 2, 3, $end, true);
            self::assertSame(CopyOpen::Write, $locked->stateAt($end - 1));
            self::assertSame(CopyOpen::Read, $locked->stateAt($end));
            self::assertTrue(
                $locked->takes($end + CopyTime::LATE - 1),
                'what was typed without a line still arrives',
            );
            self::assertFalse($locked->takes($end + CopyTime::LATE));
            self::assertFalse($locked->isAtWork($end));
        }
    }

    public function test_members_bring_back_what_stood_there_while_they_are_at_work(): void
    {
        self::assertTrue((new CopyTime(self::round(0)))->isAtWork(self::MINUTE));
        self::assertFalse(
            (new CopyTime(new RoundState(0, 0, 5 * self::MINUTE, null, 1, 2)))->isAtWork(self::MINUTE),
            'called back',
        );
        self::assertTrue((new CopyTime(new RoundState(), true, 2, 2))->isAtWork(self::MINUTE));
        self::assertFalse((new CopyTime(new RoundState(), true, 2, 1))->isAtWork(self::MINUTE), 'not open yet');
        self::assertFalse(
            (new CopyTime(new RoundState(), true, 2, 2, self::MINUTE))->isAtWork(2 * self::MINUTE),
            'the lesson is over',
        );
    }

    private static function round(int $outAt): RoundState
    {
        return new RoundState($outAt, $outAt, $outAt + 600 * self::MINUTE);
    }
}
