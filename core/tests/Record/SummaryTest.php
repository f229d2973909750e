<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\GroupFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SeatFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Facts;
use FreshHuddle\Core\Record\Recorder;
use FreshHuddle\Core\Record\Summary;
use PHPUnit\Framework\TestCase;

/**
 * What happened, in a few sentences.
 */
final class SummaryTest extends TestCase
{
    private const MINUTE = 60_000;

    public function test_a_lesson_in_which_all_went_well_is_one_sentence(): void
    {
        self::assertSame(
            [['record.says.all_there', ['there' => 2, 'all' => 2, 'names' => []]]],
            self::says(signs: [self::in('ada', 0), self::in('ben', 0)], visits: 2, filled: 4),
        );
    }

    public function test_who_never_came_and_who_was_long_elsewhere_is_said_by_name(): void
    {
        $says = self::says(
            signs: [self::in('ada', 0), new SignFact('ada', 6 * self::MINUTE, Place::Elsewhere, 'x')],
            visits: 2,
            filled: 4,
        );
        self::assertSame(['record.says.there', ['there' => 1, 'all' => 2, 'names' => ['Ben']]], $says[0]);
        self::assertSame(['record.says.astray', ['n' => 1, 'names' => ['Ada']]], $says[1]);
    }

    public function test_the_longest_wait_is_said_and_no_short_one(): void
    {
        $signs = [self::in('ada', 0), self::in('ben', 0)];
        $call = static fn (int $seconds): array => [new CallFact('a', 'ada', 0, 1_000 * $seconds)];
        self::assertCount(1, self::says($signs, 2, 4, $call(20)));
        self::assertSame(
            ['record.says.waited', ['group' => 'Quayside', 'minutes' => 2]],
            self::says($signs, 2, 4, $call(95))[1],
        );
    }

    public function test_who_was_never_visited_and_what_was_left_unfinished(): void
    {
        $signs = [self::in('ada', 0), self::in('ben', 0)];
        self::assertSame(
            [
                ['record.says.not_visited', ['n' => 1, 'names' => ['Millbrook']]],
                ['record.says.none_finished', ['n' => 2, 'names' => ['Quayside', 'Millbrook']]],
            ],
            \array_slice(self::says($signs, 1, 3), 1),
        );
    }

    public function test_what_is_so_of_all_groups_is_said_without_naming_them(): void
    {
        $signs = [self::in('ada', 0), self::in('ben', 0)];
        self::assertSame('record.says.none_visited', self::says($signs, 0, 4)[1][0]);
    }

    /**
     * @param list<SignFact> $signs
     * @param int            $visits how many of the two groups were visited
     * @param int            $filled how many of four places each has filled in
     * @param list<CallFact> $calls
     *
     * @return list<array{string, array<string, mixed>}>
     */
    private static function says(array $signs, int $visits, int $filled, array $calls = []): array
    {
        $end = 10 * self::MINUTE;
        $groups = [new GroupFact('a', 'Quayside', 0), new GroupFact('b', 'Millbrook', 1)];
        $run = new RunFact('r', 1, 0, $end, $groups, [
            new SeatFact('ada', 'a', 0, $end),
            new SeatFact('ben', 'b', 0, $end),
        ]);
        $facts = new Facts(
            0,
            $end,
            [],
            [$run],
            [new StudentFact('ada', 'Ada'), new StudentFact('ben', 'Ben')],
            $signs,
            $calls,
            array_map(
                static fn (string $group): VisitFact => new VisitFact($group, 'ines', 10, 20),
                \array_slice(['a', 'b'], 0, $visits),
            ),
            progress: array_map(
                static fn (string $group): ProgressFact => new ProgressFact($group, 5, $filled, 4),
                ['a', 'b'],
            ),
        );

        return array_map(
            static fn (array $one): array => [$one[0]->code, $one[0]->values],
            Summary::sentences(Recorder::record($facts)),
        );
    }

    private static function in(string $student, int $at): SignFact
    {
        return new SignFact($student, $at, Place::InPlace, null);
    }
}
