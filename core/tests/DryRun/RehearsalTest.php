<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\DryRun;

use FreshHuddle\Core\DryRun\Blank;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedLesson;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedRound;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedTable;
use FreshHuddle\Core\DryRun\Rehearsal\Rehearsal;
use FreshHuddle\Core\DryRun\Rehearsal\Rehearsals;
use FreshHuddle\Core\DryRun\Rehearsal\RehearsedRound;
use FreshHuddle\Core\Ready\Finding;
use PHPUnit\Framework\TestCase;

/**
 * A lesson rehearsed beforehand says what would go wrong in it, and is silent where nothing would.
 */
final class RehearsalTest extends TestCase
{
    public function test_the_same_seed_is_the_same_lesson(): void
    {
        $lesson = self::lesson();
        self::assertEquals(Rehearsal::of($lesson, 3), Rehearsal::of($lesson, 3));
        self::assertNotEquals(Rehearsal::of($lesson, 3), Rehearsal::of($lesson, 4));
    }

    public function test_what_it_says_of_a_round_hangs_together(): void
    {
        for ($seed = 1; $seed <= 10; ++$seed) {
            foreach (Rehearsal::of(self::lesson(students: 20, rounds: 2), $seed) as $i => $round) {
                self::assertSame($i + 1, $round->number);
                self::assertLessThanOrEqual(20, $round->students);
                self::assertCount($round->students, $round->moved);
                foreach ([...$round->moved, ...$round->calls] as $seconds) {
                    self::assertTrue($seconds >= 0 && $seconds <= 20 * 60);
                }
                foreach ($round->back as $seconds) {
                    self::assertGreaterThanOrEqual(30, $seconds, 'nobody is back before the countdown is over');
                }
                foreach ($round->done as $group => $done) {
                    self::assertTrue($done >= 0.0 && $done <= 1.0);
                    self::assertTrue(null === $round->doneAfter[$group] || 1.0 === $done || $done > 0);
                }
            }
        }
    }

    public function test_a_lesson_that_is_well_planned_has_nothing_found(): void
    {
        self::assertSame([], self::found(self::lesson()));
    }

    public function test_no_group_is_visited_where_there_are_too_many(): void
    {
        $found = self::found(self::lesson(students: 80, minutes: 10));
        self::assertContains('unvisited', $found);
        self::assertContains('longWaits', self::found(self::lesson(students: 120, minutes: 20)));
        $groups = static fn (int $visitors): mixed => self::finding(
            self::lesson(students: 80, minutes: 10, visitors: $visitors),
            'unvisited',
        )?->says->values['groups'] ?? 0;
        self::assertGreaterThan($groups(2), $groups(1), 'two get to more of them than one');
    }

    public function test_the_call_back_can_be_too_short_for_the_youngest(): void
    {
        $short = self::finding(self::lesson(backSeconds: 0, isYoung: true), 'callBackShort');
        self::assertNotNull($short);
        $needed = $short->says->values['needed'] ?? 0;
        self::assertIsInt($needed);
        self::assertTrue($needed >= 10 && $needed <= 120);
        self::assertNull(self::finding(self::lesson(backSeconds: 60, isYoung: true), 'callBackShort'));
        self::assertNull(self::finding(self::lesson(backSeconds: 20), 'callBackShort'));
    }

    public function test_pages_that_take_students_along_lose_no_time(): void
    {
        $slowest = static function (bool $takesIn): float {
            $all = [0.0];
            for ($seed = 1; $seed <= 5; ++$seed) {
                $all = [...$all, ...Rehearsal::of(self::lesson(takesIn: $takesIn), $seed)[0]->moved];
            }

            return max($all);
        };
        self::assertLessThan($slowest(false), $slowest(true));
    }

    public function test_a_worksheet_can_be_too_long_or_too_short_for_the_round(): void
    {
        $long = array_map(static fn (int $i): Blank => new Blank("q{$i}", true, 60, 200), range(1, 20));
        self::assertContains('unfinished', self::found(self::lesson(minutes: 10, blanks: $long)));
        self::assertContains('doneEarly', self::found(self::lesson(minutes: 60, blanks: [new Blank('q', true)])));
    }

    public function test_without_a_worksheet_nothing_is_said_of_one(): void
    {
        $found = self::found(self::lesson(minutes: 60, blanks: []));
        self::assertNotContains('unfinished', $found);
        self::assertNotContains('doneEarly', $found);
    }

    public function test_a_finding_names_its_round(): void
    {
        $findings = Rehearsals::of(self::lesson(rounds: 2, backSeconds: 0, isYoung: true), 3)->findings();
        $short = array_values(
            array_filter($findings, static fn (Finding $one): bool => 'callBackShort' === $one->check),
        );
        self::assertSame([[1], [2]], array_map(static fn (Finding $one): array => $one->rounds, $short));
    }

    public function test_a_lesson_with_nobody_or_without_groups_is_rehearsed_too(): void
    {
        self::assertSame([], Rehearsals::of(new PlannedLesson([], [], 50), 3)->findings());
        $empty = new PlannedLesson(['a' => 'Ada'], [new PlannedRound(1, 0, 0, 1, 0, [])], 50);
        self::assertInstanceOf(RehearsedRound::class, Rehearsal::of($empty, 1)[0]);
        Rehearsals::of($empty, 3)->findings();
    }

    /**
     * @param list<Blank>|null $blanks
     */
    private static function lesson(
        int $students = 24,
        int $minutes = 14,
        int $backSeconds = 30,
        bool $isYoung = false,
        bool $takesIn = false,
        int $visitors = 1,
        int $rounds = 1,
        ?array $blanks = null,
    ): PlannedLesson {
        $names = [];
        for ($i = 0; $i < $students; ++$i) {
            $names["s{$i}"] = "Student {$i}";
        }
        $blanks ??= [
            new Blank('a', true, 40, 80),
            new Blank('b', true, 40, 80),
            new Blank('c', false, 60, 250),
            new Blank('d', false, 60, 250),
            new Blank('e', false, 60, 250),
        ];
        $planned = [];
        for ($number = 1; $number <= $rounds; ++$number) {
            $tables = [];
            foreach (array_chunk(array_keys($names), 4) as $g => $members) {
                $tables[] = new PlannedTable("g{$g}", "Group {$g}", $members, $blanks);
            }
            $planned[] = new PlannedRound(
                $number,
                ($number - 1) * ($minutes + 5) * 60_000 + 300_000,
                30,
                $minutes,
                $backSeconds,
                $tables,
            );
        }

        return new PlannedLesson($names, $planned, 50, $isYoung, $takesIn, visitors: $visitors);
    }

    /**
     * @return list<string>
     */
    private static function found(PlannedLesson $lesson): array
    {
        return array_map(static fn (Finding $one): string => $one->check, Rehearsals::of($lesson, 5)->findings());
    }

    private static function finding(PlannedLesson $lesson, string $check): ?Finding
    {
        foreach (Rehearsals::of($lesson, 5)->findings() as $finding) {
            if ($finding->check === $check) {
                return $finding;
            }
        }

        return null;
    }
}
