<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Lesson;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\ChangeEnd;
use FreshHuddle\Core\Live\Command\GoOn;
use FreshHuddle\Core\Live\Command\KeepWorking;
use FreshHuddle\Core\Live\Command\Pause;
use FreshHuddle\Core\Live\Command\Say;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Command\TakeBack;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Where a round stands, from its moments and a clock.
 */
final class RoundStateTest extends TestCase
{
    private const MINUTE = 60_000;

    /**
     * @param array<string, int> $moments
     */
    #[DataProvider('phases')]
    public function test_phases_follow_from_agreed_moments_and_a_clock(array $moments, int $now, string $phase): void
    {
        self::assertSame($phase, (new RoundState(...$moments))->phase($now)->value);
    }

    /**
     * @return iterable<string, array{array<string, int>, int, string}>
     */
    public static function phases(): iterable
    {
        /** @var array{cases: list<array{name: string, moments: array<string, int>, now: int, phase: string}>} $file */
        $file = json_decode((string) file_get_contents(__DIR__.'/phases.json'), true, 8, \JSON_THROW_ON_ERROR);
        foreach ($file['cases'] as $case) {
            yield $case['name'] => [$case['moments'], $case['now'], $case['phase']];
        }
    }

    public function test_a_round_from_send_out_to_back(): void
    {
        $state = self::give(RoundState::planned(), new SendOut(20, 10), 0);
        self::assertSame(Phase::Looking, $state->phase(19_999));
        self::assertSame(Phase::Out, $state->phase(20_000));
        self::assertSame(20_000 + 10 * self::MINUTE, $state->endsAt);
        $state = self::give($state, new CallBack(30), 100_000);
        self::assertSame(Phase::ComingBack, $state->phase(129_999));
        self::assertSame(Phase::Back, $state->phase(130_000));
        $state = self::give($state, new SendOut(0, 5), 200_000);
        self::assertSame(Phase::Out, $state->phase(200_000), 'they can be sent out again');
    }

    public function test_every_command_pressed_twice_is_done_once(): void
    {
        $out = self::give(RoundState::planned(), new SendOut(0, 10), 0);
        self::assertSame([], (new SendOut(20, 5))->decide($out, 1_000));
        $called = self::give($out, new CallBack(30), 5_000);
        self::assertSame([], (new CallBack(60))->decide($called, 6_000), 'the first countdown stands');
        self::assertSame([], (new CallBack(60))->decide($called, 36_000));
        self::assertSame([], (new TakeBack())->decide(RoundState::planned(), 0));
        self::assertSame([], (new KeepWorking())->decide($out, 1_000));
        self::assertSame([], (new ChangeEnd($out->endsAt ?? 0))->decide($out, 1_000));
    }

    public function test_it_can_be_taken_back_until_it_has_reached_students(): void
    {
        $looking = self::give(RoundState::planned(), new SendOut(20, 10), 0);
        self::assertSame(Phase::Planned, self::give($looking, new TakeBack(), 19_000)->phase(19_000));
        $this->expectExceptionObject(CommandRefused::alreadyReached());
        (new TakeBack())->decide($looking, 20_000);
    }

    public function test_a_call_back_can_be_called_off_while_it_runs_down(): void
    {
        $called = self::give(self::give(RoundState::planned(), new SendOut(0, 10), 0), new CallBack(30), 60_000);
        $on = self::give($called, new KeepWorking(), 80_000);
        self::assertSame(Phase::Out, $on->phase(100_000));
        self::assertSame(10 * self::MINUTE, $on->endsAt, 'the end stays as it was');
        $this->expectExceptionObject(CommandRefused::tooLate());
        (new KeepWorking())->decide($called, 90_000);
    }

    public function test_called_off_after_the_end_gives_a_minute_and_waits_for_the_teacher(): void
    {
        $auto = self::give(RoundState::planned(), new SendOut(0, 1, 30), 0);
        self::assertSame(Phase::ComingBack, $auto->phase(70_000));
        $on = self::give($auto, new KeepWorking(), 70_000);
        self::assertSame(130_000, $on->endsAt);
        self::assertSame(Phase::Out, $on->phase(500_000));
    }

    public function test_the_end_moves_but_never_into_the_past(): void
    {
        $out = self::give(RoundState::planned(), new SendOut(0, 10), 0);
        self::assertSame(11 * self::MINUTE, self::give($out, new ChangeEnd(11 * self::MINUTE), 5_000)->endsAt);
        self::assertSame(300_000, self::give($out, new ChangeEnd(1_000), 300_000)->endsAt);
        $looking = self::give(RoundState::planned(), new SendOut(60, 10), 0);
        self::assertSame(60_000, self::give($looking, new ChangeEnd(0), 1_000)->endsAt, 'not before they are out');
        $this->expectException(CommandRefused::class);
        (new ChangeEnd(\PHP_INT_MAX))->decide($out, 5_000);
    }

    public function test_a_pause_stops_the_clock_and_what_was_left_is_left_after_it(): void
    {
        $out = self::give(RoundState::planned(), new SendOut(0, 10, 30), 0);
        $paused = self::give($out, new Pause(), 9 * self::MINUTE);
        self::assertSame([], (new Pause())->decide($paused, 9 * self::MINUTE + 1), 'pressed twice it is one pause');
        self::assertSame(Phase::Out, $paused->phase(60 * self::MINUTE), 'nothing happens by itself meanwhile');
        $on = self::give($paused, new GoOn(), 60 * self::MINUTE);
        self::assertSame(61 * self::MINUTE, $on->endsAt);
        self::assertSame(Phase::ComingBack, $on->phase(61 * self::MINUTE), 'and the end calls by itself again');
        self::assertSame([], (new GoOn())->decide($on, 60 * self::MINUTE));
        $later = self::give(
            self::give($paused, new ChangeEnd(12 * self::MINUTE), 20 * self::MINUTE),
            new GoOn(),
            30 * self::MINUTE,
        );
        self::assertSame(
            33 * self::MINUTE,
            $later->endsAt,
            'an end that is put off meanwhile by two minutes is put off by two minutes',
        );
    }

    public function test_whoever_is_called_back_is_not_paused_and_who_is_not_out_cannot_be(): void
    {
        $paused = self::give(self::give(RoundState::planned(), new SendOut(0, 10), 0), new Pause(), 60_000);
        self::assertNull(self::give($paused, new CallBack(10), 90_000)->pausedAt);
        foreach (
            [
                RoundState::planned(),
                self::give(RoundState::planned(), new SendOut(60, 10), 0),
                self::give($paused, new CallBack(60), 90_000),
            ] as $state
        ) {
            try {
                (new Pause())->decide($state, 91_000 - (null === $state->calledAt ? 90_000 : 0));
                self::fail('There is nothing to pause.');
            } catch (CommandRefused $e) {
                self::assertContains($e->says->code, ['live.nobody_is_out', 'live.too_late']);
            }
        }
    }

    public function test_nobody_is_called_back_who_was_not_sent_out(): void
    {
        $this->expectExceptionObject(CommandRefused::nobodyIsOut());
        (new CallBack(30))->decide(RoundState::planned(), 0);
    }

    /**
     * @param callable(): Command $make
     */
    #[DataProvider('outOfRange')]
    public function test_lengths_have_limits(callable $make): void
    {
        $this->expectException(CommandRefused::class);
        $make();
    }

    /**
     * @return iterable<string, array{callable(): Command}>
     */
    public static function outOfRange(): iterable
    {
        yield 'a look of over two minutes' => [static fn (): Command => new SendOut(121, 10)];
        yield 'a negative look' => [static fn (): Command => new SendOut(-1, 10)];
        yield 'no minutes' => [static fn (): Command => new SendOut(0, 0)];
        yield 'a negative call back' => [static fn (): Command => new CallBack(-1)];
        yield 'a call back of over two minutes' => [static fn (): Command => new CallBack(121)];
        yield 'a notice of nothing' => [static fn (): Command => new Say(" \n ")];
        yield 'a notice that is a novel' => [static fn (): Command => new Say(str_repeat('x', 281))];
    }

    public function test_any_history_of_presses_folds_to_the_state_it_went_through(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(9));
        for ($round = 0; $round < 300; ++$round) {
            $state = RoundState::planned();
            $events = [];
            $now = 0;
            for ($press = 0; $press < 12; ++$press) {
                $now += $random->getInt(0, 90_000);
                $command = match ($random->getInt(0, 7)) {
                    0 => new SendOut(
                        $random->getInt(0, 120),
                        $random->getInt(1, 5),
                        0 === $random->getInt(0, 1) ? null : 30,
                    ),
                    1 => new TakeBack(),
                    2 => new CallBack($random->getInt(0, 120)),
                    3 => new KeepWorking(),
                    5 => new Pause(),
                    6 => new GoOn(),
                    4 => new ChangeEnd($now + $random->getInt(-60_000, 600_000)),
                    default => new Say('Two minutes.'),
                };
                try {
                    $decided = $command->decide($state, $now);
                } catch (CommandRefused) {
                    continue;
                }
                foreach ($decided as $event) {
                    $events[] = $event;
                    $state = $state->with($event);
                }
                self::assertEquals($state, RoundState::after($events));
                $since = $state->phaseSince($now);
                self::assertTrue(null === $since || $since <= $now, 'a phase that is on has begun');
                if (!($command instanceof Say) && [] !== $decided) {
                    self::assertSame(
                        [],
                        self::again($command, $state, $now),
                        'and the same press once more does nothing',
                    );
                }
            }
        }
    }

    public function test_signs_of_where_somebody_is_change_nothing_of_the_round(): void
    {
        $state = self::give(RoundState::planned(), new SendOut(0, 10), 0);
        self::assertSame($state, $state->with(new Event(EventKind::WhereaboutsChanged, 5, ['student' => 's1'])));
    }

    /**
     * @return list<Event>
     */
    private static function again(Command $command, RoundState $state, int $now): array
    {
        try {
            return $command->decide($state, $now);
        } catch (CommandRefused) {
            return [];
        }
    }

    private static function give(RoundState $state, Command $command, int $now): RoundState
    {
        foreach ($command->decide($state, $now) as $event) {
            $state = $state->with($event);
        }

        return $state;
    }
}
