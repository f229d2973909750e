<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\ExitFact;
use FreshHuddle\Core\Record\Fact\GroupFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SeatFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\SpeechFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Fact\WritingFact;
use FreshHuddle\Core\Record\Facts;
use FreshHuddle\Core\Record\Format\RecordFormat;
use FreshHuddle\Core\Record\Recorder;
use FreshHuddle\Core\Record\StripKind;
use FreshHuddle\Core\Record\StripSpan;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What a lesson's facts come to.
 */
final class RecorderTest extends TestCase
{
    public function test_minutes_of_a_student_add_up_to_the_time_they_were_to_be_in_a_group(): void
    {
        $ada = Recorder::record(self::facts())->students[0];
        self::assertSame(
            [700, 500, 100, 100],
            [$ada->groupMs, $ada->inPlaceMs, $ada->elsewhereMs, $ada->awayMs],
        );
        self::assertSame(100, $ada->arrivedAt);
        self::assertSame('quayside', $ada->group);
    }

    public function test_a_strip_says_where_they_were_without_a_gap(): void
    {
        $strip = Recorder::record(self::facts())->students[0]->strip;
        self::assertEquals(
            [
                new StripSpan(0, 100, StripKind::Away),
                new StripSpan(100, 200, StripKind::Main),
                new StripSpan(200, 300, StripKind::Elsewhere),
                new StripSpan(300, 500, StripKind::Group, 'quayside'),
                new StripSpan(500, 600, StripKind::Away),
                new StripSpan(600, 700, StripKind::SideRoom),
                new StripSpan(700, 900, StripKind::Group, 'quayside'),
                new StripSpan(900, 1_000, StripKind::Main),
            ],
            $strip,
        );
    }

    public function test_whoever_was_never_seen_was_away(): void
    {
        $ben = Recorder::record(self::facts())->students[1];
        self::assertNull($ben->arrivedAt);
        self::assertSame([700, 0, 0, 700], [$ben->groupMs, $ben->inPlaceMs, $ben->elsewhereMs, $ben->awayMs]);
        self::assertEquals([new StripSpan(0, 1_000, StripKind::Away)], $ben->strip);
    }

    public function test_their_share_is_of_what_all_wrote_in_the_groups_they_were_in(): void
    {
        [$ada, $ben] = Recorder::record(self::facts())->students;
        self::assertSame([30, 40, 2], [$ada->put, $ada->ofGroup, $ada->slots]);
        self::assertSame([10, 40, 1], [$ben->put, $ben->ofGroup, $ben->slots]);
    }

    public function test_a_pass_does_not_count_as_called_on(): void
    {
        $ada = Recorder::record(self::facts())->students[0];
        self::assertSame([1, 1, 1], [$ada->calledOn, $ada->passed, $ada->calls]);
        self::assertSame([2, 3], [$ada->exitAnswered, $ada->exitOf]);
    }

    public function test_a_group_was_visited_as_long_as_somebody_was_there_and_waited_as_long_as_it_called(): void
    {
        [$quayside, $millbrook] = Recorder::record(self::facts())->groups;
        self::assertSame([3, 250], [$quayside->visits, $quayside->visitedMs], 'two at a time count once');
        self::assertSame([2, 90, 60], [$quayside->calls, $quayside->waitedMs, $quayside->longestMs]);
        self::assertSame([4, 6], [$quayside->filled, $quayside->of]);
        self::assertSame(['ada' => 30, 'ben' => 10], array_column($quayside->put, 'put', 'student'));
        self::assertSame(['ada', 'ben'], $quayside->students);
        self::assertSame([0, 0, 0, 0], [$millbrook->visits, $millbrook->visitedMs, $millbrook->calls, $millbrook->of]);
    }

    public function test_a_student_who_was_moved_is_counted_in_both_groups(): void
    {
        $run = new RunFact('r', 1, 0, 100, [new GroupFact('a', 'A', 0), new GroupFact('b', 'B', 1)], [
            new SeatFact('ada', 'a', 0, 40),
            new SeatFact('ada', 'b', 40, 100),
        ]);
        $record = Recorder::record(
            new Facts(0, 100, [], [$run], [new StudentFact('ada', 'Ada')], [
                new SignFact('ada', 0, Place::InPlace, 'a'),
                new SignFact('ada', 45, Place::InPlace, 'b'),
            ]),
        );
        self::assertSame('b', $record->students[0]->group);
        self::assertSame(100, $record->students[0]->inPlaceMs);
        self::assertEquals(
            [
                new StripSpan(0, 40, StripKind::Group, 'a'),
                new StripSpan(40, 45, StripKind::SideRoom),
                new StripSpan(45, 100, StripKind::Group, 'b'),
            ],
            $record->students[0]->strip,
        );
        self::assertSame([[], ['ada']], [$record->groups[0]->students, $record->groups[1]->students]);
    }

    /**
     * The second program knows nothing of the first but the file and its documentation.
     */
    public function test_a_second_program_derives_every_figure_again_from_the_file(): void
    {
        $this->agree(self::facts());
        for ($seed = 1; $seed <= 150; ++$seed) {
            $this->agree(self::random($seed));
        }
    }

    public function test_minutes_always_add_up_and_strips_have_no_gap(): void
    {
        for ($seed = 200; $seed < 400; ++$seed) {
            $facts = self::random($seed);
            foreach (Recorder::record($facts)->students as $student) {
                self::assertSame(
                    $student->groupMs,
                    $student->inPlaceMs + $student->elsewhereMs + $student->awayMs,
                );
                $at = $facts->begunAt;
                foreach ($student->strip as $span) {
                    self::assertSame($at, $span->from);
                    self::assertGreaterThan($span->from, $span->to);
                    $at = $span->to;
                }
                self::assertSame($facts->endedAt, $at);
            }
        }
    }

    private function agree(Facts $facts): void
    {
        $record = Recorder::record($facts);
        $json = json_encode(
            RecordFormat::write($record, 'Lesson', '9G', ...PointsTest::anyRule($record)),
            \JSON_THROW_ON_ERROR,
        );
        $document = json_decode($json, true, 64, \JSON_THROW_ON_ERROR);
        \assert(\is_array($document) && \is_array($document['figures']));
        $second = (new SecondRecorder($json))->figures();
        self::assertEquals($document['figures']['students'], $second['students']);
        self::assertEquals($document['figures']['groups'], $second['groups']);
        self::assertEquals($document['figures']['points'], $second['points']);
    }

    public static function facts(): Facts
    {
        return new Facts(
            0,
            1_000,
            [],
            [
                new RunFact(
                    'r1',
                    1,
                    200,
                    900,
                    [new GroupFact('quayside', 'Quayside', 0), new GroupFact('millbrook', 'Millbrook', 1)],
                    [new SeatFact('ada', 'quayside', 200, 900), new SeatFact('ben', 'quayside', 200, 900)],
                ),
            ],
            [new StudentFact('ada', 'Ada'), new StudentFact('ben', 'Ben')],
            [
                new SignFact('ada', 100, Place::InPlace, 'main'),
                new SignFact('ada', 200, Place::OnTheWay, null),
                new SignFact('ada', 300, Place::InPlace, 'quayside'),
                new SignFact('ada', 500, Place::Lost, null),
                new SignFact('ada', 600, Place::InPlace, 'corner'),
                new SignFact('ada', 700, Place::InPlace, null),
            ],
            [new CallFact('quayside', 'ada', 300, 330), new CallFact('quayside', 'ben', 500, 560)],
            [
                new VisitFact('quayside', 'ines', 100, 300),
                new VisitFact('quayside', 'ines', 500, 600),
                new VisitFact('quayside', 'joel', 550, 650),
            ],
            [new CalledOnFact('ada', 950, true), new CalledOnFact('ada', 960, false)],
            [
                new WritingFact('ada', 'quayside', 'c decision', 400, 20),
                new WritingFact('ben', 'quayside', 'c decision', 450, 10),
                new WritingFact('ada', 'quayside', 'c noticed', 500, 10),
            ],
            [new ProgressFact('quayside', 400, 2, 6), new ProgressFact('quayside', 800, 4, 6)],
            [new ExitFact('ada', 2, 3)],
        );
    }

    /**
     * Any lesson: moves, people who come and go, two runs, visits that overlap.
     */
    private static function random(int $seed): Facts
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $end = $chance->getInt(50, 2_000);
        $names = array_map(static fn (int $i): string => "s{$i}", range(1, $chance->getInt(1, 6)));
        $runs = $signs = $calls = $visits = $called = $writing = $progress = $exits = $speech = $groupIds = [];
        $from = $chance->getInt(0, intdiv($end, 3));
        for ($r = 1, $last = $chance->getInt(0, 2); $r <= $last; ++$r) {
            $to = $chance->getInt($from + 1, max($from + 1, $r < 2 ? intdiv(2 * $end, 3) : $end));
            $groups = array_map(
                static fn (int $i): GroupFact => new GroupFact("r{$r}g{$i}", "Group {$i}", $i),
                range(1, $chance->getInt(1, 3)),
            );
            $seats = [];
            foreach ($names as $name) {
                $at = $from;
                while ($at < $to && 0 !== $chance->getInt(0, 4)) {
                    $until = 0 === $chance->getInt(0, 2) ? $chance->getInt($at + 1, $to) : $to;
                    $seats[] = new SeatFact($name, $groups[$chance->getInt(0, \count($groups) - 1)]->id, $at, $until);
                    $at = $until;
                }
            }
            $runs[] = new RunFact("r{$r}", $r, $from, $to, $groups, $seats);
            array_push($groupIds, ...array_map(static fn (GroupFact $group): string => $group->id, $groups));
            $from = $to;
        }
        $moments = static function (int $most) use ($chance, $end): array {
            $all = array_map(
                static fn (): int => $chance->getInt(0, $end),
                range(1, $chance->getInt(1, $most)),
            );
            sort($all);

            return $all;
        };
        $some = static fn (array $list): mixed => $list[$chance->getInt(0, \count($list) - 1)];
        foreach ($moments(30) as $at) {
            $who = $some($names);
            $where = $some(['main', null, 'corner', ...$groupIds]);
            \assert(\is_string($who) && (null === $where || \is_string($where)));
            $signs[] = new SignFact($who, $at, Place::cases()[$chance->getInt(0, 5)], $where);
        }
        if ([] !== $groupIds) {
            foreach ($moments(6) as $at) {
                [$who, $group] = [$some($names), $some($groupIds)];
                \assert(\is_string($who) && \is_string($group));
                $calls[] = new CallFact($group, $who, $at, $chance->getInt($at, $end));
                $visits[] = new VisitFact($group, 'ines', $at, $chance->getInt($at, $end));
                $progress[] = new ProgressFact($group, $at, $chance->getInt(0, 5), 5);
                $writing[] = new WritingFact(
                    $who,
                    0 === $chance->getInt(0, 3) ? null : $group,
                    'slot '.$chance->getInt(1, 3),
                    $at,
                    $chance->getInt(0, 40),
                );
            }
        }
        foreach ($moments(4) as $at) {
            $who = $some($names);
            \assert(\is_string($who));
            $called[] = new CalledOnFact($who, $at, 0 === $chance->getInt(0, 1));
            $exits[] = new ExitFact($who, $chance->getInt(0, 3), 3);
            $where = $some(['main', 'corner', ...$groupIds]);
            \assert(\is_string($where));
            $speech[] = new SpeechFact($who, $where, $chance->getInt(0, $end));
        }

        return new Facts(
            0,
            $end,
            [],
            $runs,
            array_map(static fn (string $name): StudentFact => new StudentFact($name, strtoupper($name)), $names),
            $signs,
            $calls,
            $visits,
            $called,
            $writing,
            $progress,
            $exits,
            $speech,
        );
    }
}
