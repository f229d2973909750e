<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\DryRun;

use FreshHuddle\Core\DryRun\Act;
use FreshHuddle\Core\DryRun\ActKind;
use FreshHuddle\Core\DryRun\Behaviour;
use FreshHuddle\Core\DryRun\Blank;
use FreshHuddle\Core\DryRun\Mind;
use FreshHuddle\Core\DryRun\Sight;
use PHPUnit\Framework\TestCase;

/**
 * A simulated student does what a student at a page could do, and nothing else.
 */
final class MindTest extends TestCase
{
    private const BEGINS = 1_000_000;
    private const MINUTE = 60_000;

    public function test_nobody_does_anything_before_they_come(): void
    {
        $mind = self::mind(self::student(arrivesAt: 5_000));
        self::assertSame([], $mind->look(self::outside(), self::BEGINS));
        self::assertSame(self::BEGINS + 5_000, $mind->again);
        $acts = $mind->look(self::outside(), $mind->again);
        self::assertSame([ActKind::Arrive], self::kinds($acts));
        self::assertSame('Ada', $acts[0]->text);
        self::assertSame([], $mind->look(self::outside(), $mind->again), 'and waits to be let in');
    }

    public function test_whoever_does_not_come_does_nothing(): void
    {
        $mind = self::mind(self::student(arrivesAt: null));
        self::assertSame([], $mind->look(self::outside(), self::BEGINS + self::MINUTE));
        self::assertSame(Mind::NEVER, $mind->again);
    }

    public function test_they_go_where_their_page_says_after_a_moment_and_once(): void
    {
        for ($seed = 1; $seed <= 50; ++$seed) {
            $mind = self::mind(self::student(), $seed);
            $acts = self::live($mind, self::at('main'), 0, self::MINUTE);
            self::assertSame(['main'], array_column($acts, 'place'), "seed {$seed}");
            $acts = self::live($mind, self::at('g1', 1), self::MINUTE, 2 * self::MINUTE);
            self::assertSame(['g1'], array_column($acts, 'place'), "seed {$seed}");
        }
    }

    public function test_whose_page_takes_them_along_is_there_at_once(): void
    {
        $mind = self::mind(self::student(overlooks: 1.0));
        self::live($mind, new Sight(true, 'main', 1, takesIn: true), 0, 1_000);
        $acts = self::live($mind, new Sight(true, 'g1', 2, takesIn: true), 1_000, 4_000);
        self::assertSame(['g1'], array_column($acts, 'place'));
    }

    public function test_whoever_overlooks_it_comes_when_they_are_called_by_name(): void
    {
        $late = $called = 0;
        for ($seed = 1; $seed <= 100; ++$seed) {
            $mind = self::mind(self::student(overlooks: 1.0), $seed);
            $late += self::minutesUntil($mind, self::at('g1'), null) > 0.5 ? 1 : 0;
            $mind = self::mind(self::student(overlooks: 1.0), $seed);
            $called += self::minutesUntil($mind, self::at('g1'), 10_000) > 0.5 ? 1 : 0;
        }
        self::assertGreaterThan(50, $late);
        self::assertLessThan(5, $called);
    }

    public function test_whoever_has_seen_the_countdown_goes_when_it_is_over(): void
    {
        for ($seed = 1; $seed <= 50; ++$seed) {
            $mind = self::mind(self::student(), $seed);
            self::live($mind, self::at('g1'), 0, self::MINUTE);
            $over = self::MINUTE + 60_000;
            $counting = new Sight(true, 'g1', 0, leavesAt: self::BEGINS + $over);
            self::assertNotContains('main', array_column(self::live($mind, $counting, self::MINUTE, $over), 'place'));
            $acts = self::live($mind, self::at('main', 2), $over, $over + 10_000);
            self::assertSame(['main'], array_column($acts, 'place'), "seed {$seed}");
        }
    }

    public function test_while_the_line_is_away_nothing_comes_from_them(): void
    {
        $mind = self::mind(self::student(cuts: [[30_000, 60_000]]));
        $acts = self::live($mind, self::working(), 0, 5 * self::MINUTE, $times);
        $at = array_search(ActKind::LoseLine, self::kinds($acts), true);
        self::assertIsInt($at);
        self::assertSame(ActKind::FindLine, $acts[$at + 1]->kind);
        self::assertSame([30_000, 60_000], [$times[$at], $times[$at + 1]]);
        self::assertContains(ActKind::Write, self::kinds(\array_slice($acts, $at + 2)), 'and they go on');
    }

    public function test_they_write_in_what_is_empty_and_nobody_elses(): void
    {
        $blanks = static fn (bool $isMineFilled): array => [
            new Blank('full', true, isFilled: true),
            new Blank('taken', false, isTaken: true),
            new Blank('ours', false, letters: 20),
            new Blank('mine', true, letters: 20, isFilled: $isMineFilled),
        ];
        for ($seed = 1; $seed <= 50; ++$seed) {
            $mind = self::mind(self::student(), $seed);
            self::assertSame(
                ['mine'],
                self::slots(self::live($mind, self::working($blanks(false)), 0, 5 * self::MINUTE)),
            );
            $then = self::live($mind, self::working($blanks(true)), 5 * self::MINUTE, 10 * self::MINUTE);
            self::assertSame([], array_diff(self::slots($then), ['mine', 'ours']), 'what they are at is finished');
            self::assertContains('ours', self::slots($then));
        }
    }

    public function test_what_they_have_written_stays_and_grows(): void
    {
        $acts = self::live(
            self::mind(self::student()),
            self::working([new Blank('mine', true, letters: 9_000)]),
            0,
            5 * self::MINUTE,
        );
        $texts = array_values(
            array_filter(array_column($acts, 'text', null), static fn (string $text): bool => '' !== $text),
        );
        array_shift($texts); // their name
        self::assertGreaterThan(3, \count($texts));
        foreach ($texts as $i => $text) {
            self::assertTrue(0 === $i || str_starts_with($text, $texts[$i - 1]));
        }
    }

    public function test_who_is_stuck_calls_once_and_goes_on_when_somebody_has_come(): void
    {
        $student = self::student(stuck: 0.01, calls: 1.0);
        $mind = self::mind($student);
        $acts = self::live($mind, self::working(), 0, 2 * self::MINUTE);
        self::assertCount(1, array_filter($acts, static fn (Act $act): bool => ActKind::Call === $act->kind));
        self::assertNotContains(ActKind::Write, self::kinds($acts));
        $quiet = self::live(self::mind($student), self::working(isCalling: true), 0, 2 * self::MINUTE);
        self::assertNotContains(ActKind::Call, self::kinds($quiet), 'their group calls already');
        $helped = self::live(self::mind($student), self::working(isHelped: true), 0, 10 * self::MINUTE);
        self::assertContains(ActKind::Write, self::kinds($helped));
    }

    public function test_who_leaves_the_writing_to_others_writes_their_own_answers(): void
    {
        $blanks = [new Blank('ours', false, letters: 5), new Blank('mine', true, letters: 5)];
        for ($seed = 1; $seed <= 30; ++$seed) {
            $acts = self::live(
                self::mind(self::student(isSilent: true), $seed),
                self::working($blanks),
                0,
                10 * self::MINUTE,
            );
            self::assertNotContains('ours', array_column($acts, 'slot'));
        }
    }

    public function test_another_device_of_theirs_comes_in_once(): void
    {
        $acts = self::live(self::mind(self::student(secondAt: 20_000)), self::at('main'), 0, 5 * self::MINUTE);
        self::assertCount(1, array_filter($acts, static fn (Act $act): bool => ActKind::ArriveAgain === $act->kind));
    }

    public function test_whoever_is_off_comes_back_and_finds_their_way(): void
    {
        $acts = self::live(self::mind(self::student(wanders: 1.0)), self::working(), 0, 30 * self::MINUTE);
        $kinds = self::kinds($acts);
        $off = array_search(ActKind::WalkOff, $kinds, true);
        self::assertIsInt($off);
        self::assertSame(ActKind::Go, $acts[$off + 1]->kind ?? null);
    }

    public function test_asked_anew_in_the_middle_of_a_lesson_they_go_on(): void
    {
        $student = self::student();
        $mind = new Mind($student, self::BEGINS, 1, 'ada', 'g1');
        $acts = self::live($mind, self::working(), 20 * self::MINUTE, 25 * self::MINUTE);
        self::assertNotContains(ActKind::Arrive, self::kinds($acts));
        self::assertContains(ActKind::Write, self::kinds($acts));
    }

    public function test_the_same_seed_is_the_same_student(): void
    {
        $course = static fn (int $seed): array => self::live(
            self::mind(self::student(wanders: 3.0, strays: 0.3), $seed),
            self::working(),
            0,
            20 * self::MINUTE,
        );
        self::assertEquals($course(7), $course(7));
        self::assertNotEquals($course(7), $course(8));
    }

    public function test_it_says_when_it_will_do_something_next(): void
    {
        // Asked every second, or only when it says: the same acts at the same moments.
        for ($seed = 1; $seed <= 20; ++$seed) {
            $student = self::student(wanders: 5.0, strays: 0.2, cuts: [[100_000, 130_000]]);
            $rare = self::live(self::mind($student, $seed), self::working(), 0, 10 * self::MINUTE, $at);
            $often = self::live(self::mind($student, $seed), self::working(), 0, 10 * self::MINUTE, $oftenAt, true);
            self::assertEquals($rare, $often);
            self::assertSame($at, $oftenAt);
        }
    }

    /**
     * @param list<array{int, ?int}> $cuts
     */
    private static function student(
        ?int $arrivesAt = 0,
        float $overlooks = 0.0,
        float $strays = 0.0,
        float $stuck = 1e9,
        float $calls = 0.0,
        float $wanders = 1e9,
        array $cuts = [],
        bool $isSilent = false,
        ?int $secondAt = null,
    ): Behaviour {
        return new Behaviour(
            'Ada',
            $arrivesAt,
            3.0,
            $overlooks,
            $strays,
            200.0,
            3.0,
            10.0,
            $stuck,
            $calls,
            $wanders,
            $cuts,
            $isSilent,
            $secondAt,
        );
    }

    private static function mind(Behaviour $student, int $seed = 1): Mind
    {
        return new Mind($student, self::BEGINS, $seed, 'ada');
    }

    private static function outside(): Sight
    {
        return new Sight(false, null);
    }

    private static function at(string $place, int $since = 0): Sight
    {
        return new Sight(true, $place, $since);
    }

    /**
     * @param list<Blank>|null $blanks
     */
    private static function working(?array $blanks = null, bool $isCalling = false, bool $isHelped = false): Sight
    {
        return new Sight(
            true,
            'g1',
            0,
            isWorking: true,
            blanks: $blanks ?? [new Blank('mine', true, letters: 2_000)],
            isCalling: $isCalling,
            isHelped: $isHelped,
        );
    }

    /**
     * What they do while their page stays as it is; it lets them in.
     *
     * @param list<int>|null $times when, from the beginning
     *
     * @param-out list<int> $times
     *
     * @return list<Act>
     */
    private static function live(
        Mind $mind,
        Sight $sight,
        int $from,
        int $until,
        ?array &$times = null,
        bool $isOften = false,
    ): array {
        [$acts, $times] = [[], []];
        $next = self::BEGINS + $from;
        for ($now = $next; $now < self::BEGINS + $until; $now += 1_000) {
            if (!$isOften && $now < $next) {
                continue;
            }
            foreach ($mind->look($sight, $now) as $act) {
                $acts[] = $act;
                $times[] = $now - self::BEGINS;
            }
            $next = $mind->again;
        }

        return $acts;
    }

    /**
     * @param list<Act> $acts
     *
     * @return list<string> in which something was written, in the order of the first time
     */
    private static function slots(array $acts): array
    {
        $slots = [];
        foreach ($acts as $act) {
            if (null !== $act->slot) {
                $slots[$act->slot] = $act->slot;
            }
        }

        return array_values($slots);
    }

    private static function minutesUntil(Mind $mind, Sight $sight, ?int $fetchedAt): float
    {
        for ($now = 0; $now < 20 * self::MINUTE; $now += 1_000) {
            $isFetched = null !== $fetchedAt && $now >= $fetchedAt;
            $shown = new Sight(
                $sight->isIn,
                $sight->place,
                $sight->since,
                $isFetched ? self::BEGINS + $fetchedAt : null,
            );
            if (\in_array(ActKind::Go, self::kinds($mind->look($shown, self::BEGINS + $now)), true)) {
                return $now / self::MINUTE;
            }
        }

        return 20.0;
    }

    /**
     * @param list<Act> $acts
     *
     * @return list<ActKind>
     */
    private static function kinds(array $acts): array
    {
        return array_column($acts, 'kind');
    }
}
