<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Live;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\Chalk;
use FreshHuddle\Core\Live\Command\Leave;
use FreshHuddle\Core\Live\Command\MakeCall;
use FreshHuddle\Core\Live\Command\SeeCall;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Command\TakeBackCall;
use FreshHuddle\Core\Live\Command\Visit;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\ChalkMark;
use FreshHuddle\Core\Live\Signal\Signals;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Calls, visits and chalk marks: what is asked twice is done once, and everything follows from the events.
 */
final class SignalsTest extends TestCase
{
    private RoundState $state;
    private Signals $signals;
    private int $now = 1_000_000;

    protected function setUp(): void
    {
        $this->state = RoundState::planned();
        $this->signals = new Signals();
        $this->give(new SendOut(0, 25));
    }

    public function test_a_group_that_calls_keeps_its_place_however_often_it_presses(): void
    {
        $this->call('g1');
        $this->call('g2');
        $this->call('g1');
        self::assertSame(
            [1, 2, null],
            [
                $this->signals->placeInQueue('g1'),
                $this->signals->placeInQueue('g2'),
                $this->signals->placeInQueue('g3'),
            ],
        );
        $this->give(new TakeBackCall('g1', 'ada', $this->signals));
        self::assertSame([null, 1], [$this->signals->placeInQueue('g1'), $this->signals->placeInQueue('g2')]);
        self::assertSame([], (new TakeBackCall('g1', 'ada', $this->signals))->decide($this->state, $this->now));
    }

    public function test_that_a_call_was_seen_is_said_once_and_a_visit_answers_it(): void
    {
        $this->call('g1');
        $this->give(new SeeCall('g1', $this->signals));
        self::assertNotNull($this->signals->forGroup('g1')->call?->seenAt);
        self::assertSame([], (new SeeCall('g1', $this->signals))->decide($this->state, $this->now));
        $this->give(new Visit('g1', 'ines', $this->signals));
        self::assertNull($this->signals->forGroup('g1')->call);
        self::assertSame(['ines', 1], [$this->signals->forGroup('g1')->visitor, $this->signals->forGroup('g1')->visits]);
    }

    public function test_going_to_another_group_leaves_the_one_before(): void
    {
        $this->give(new Visit('g1', 'ines', $this->signals));
        self::assertSame([], (new Visit('g1', 'ines', $this->signals))->decide($this->state, $this->now));
        $this->give(new Visit('g2', 'ines', $this->signals));
        self::assertSame([null, 'ines'], [$this->signals->forGroup('g1')->visitor, $this->signals->forGroup('g2')->visitor]);
        self::assertNotNull($this->signals->forGroup('g1')->visitedAt);
        $this->give(new Leave('ines', $this->signals));
        self::assertNull($this->signals->visitedBy('ines'));
        self::assertSame([], (new Leave('ines', $this->signals))->decide($this->state, $this->now));
    }

    public function test_a_chalk_mark_lies_until_another_or_none(): void
    {
        $this->give(new Chalk('g1', ChalkMark::WellDone, $this->signals));
        self::assertSame(
            [],
            (new Chalk('g1', ChalkMark::WellDone, $this->signals))->decide($this->state, $this->now),
        );
        $this->give(new Chalk('g1', ChalkMark::Hurry, $this->signals));
        self::assertSame(ChalkMark::Hurry, $this->signals->forGroup('g1')->mark);
        $this->give(new Chalk('g1', null, $this->signals));
        self::assertNull($this->signals->forGroup('g1')->mark);
    }

    public function test_the_call_back_ends_calls_and_visits_and_the_next_run_begins_anew(): void
    {
        $this->call('g1');
        $this->give(new Visit('g2', 'ines', $this->signals));
        $this->give(new CallBack(0));
        self::assertNull($this->signals->forGroup('g1')->call);
        self::assertNull($this->signals->forGroup('g2')->visitor);
        self::assertSame(1, $this->signals->forGroup('g2')->visits);
        $this->give(new SendOut(0, 10));
        self::assertSame([], $this->signals->groups);
    }

    public function test_while_nobody_is_out_nobody_calls_and_nobody_is_visited(): void
    {
        $planned = RoundState::planned();
        foreach (
            [
                new MakeCall('g', 'ada', CallAbout::Stuck, new Signals()),
                new Visit('g', 'ines', new Signals()),
                new Chalk('g', ChalkMark::Seen, new Signals()),
            ] as $command
        ) {
            try {
                $command->decide($planned, $this->now);
                self::fail($command::class);
            } catch (CommandRefused $e) {
                self::assertSame('live.nobody_is_out', $e->says->code);
            }
        }
    }

    public function test_whatever_is_pressed_the_state_is_the_fold_of_the_events_and_each_teacher_is_in_one_place(): void
    {
        for ($seed = 0; $seed < 200; ++$seed) {
            $dice = new Randomizer(new Xoshiro256StarStar($seed));
            [$state, $signals, $events, $now] = [RoundState::planned(), new Signals(), [], 1_000_000];
            for ($i = 0; $i < 60; ++$i) {
                $now += $dice->getInt(0, 30_000);
                $group = 'g'.$dice->getInt(1, 4);
                $who = ['ines', 'otto'][$dice->getInt(0, 1)];
                $command = match ($dice->getInt(0, 9)) {
                    0 => new SendOut(0, 25),
                    1 => new CallBack(10),
                    2, 3 => new MakeCall($group, 'ada', CallAbout::cases()[$dice->getInt(0, 4)], $signals),
                    4 => new TakeBackCall($group, 'ben', $signals),
                    5 => new SeeCall($group, $signals),
                    6, 7 => new Visit($group, $who, $signals),
                    8 => new Leave($who, $signals),
                    default => new Chalk($group, [null, ...ChalkMark::cases()][$dice->getInt(0, 4)], $signals),
                };
                try {
                    $more = $command->decide($state, $now);
                } catch (CommandRefused) {
                    continue;
                }
                foreach ($more as $event) {
                    $events[] = $event;
                    $state = $state->with($event);
                    $signals = $signals->with($event);
                }
                $visitors = array_filter(
                    array_map(static fn ($one): ?string => $one->visitor, $signals->groups),
                    is_string(...),
                );
                self::assertCount(\count($visitors), array_unique($visitors), "seed {$seed}");
            }
            self::assertEquals($signals, Signals::after($events), "seed {$seed}");
            self::assertEquals($state, RoundState::after($events), "seed {$seed}");
        }
    }

    public function test_what_concerns_one_group_disturbs_no_other_page(): void
    {
        self::assertContains('callMade', EventKind::quiet());
        self::assertNotContains('calledBack', EventKind::quiet());
    }

    private function call(string $group): void
    {
        $this->give(new MakeCall($group, 'ada', CallAbout::Stuck, $this->signals));
    }

    private function give(Command $command): void
    {
        $this->now += 1_000;
        foreach ($command->decide($this->state, $this->now) as $event) {
            $this->state = $this->state->with($event);
            $this->signals = $this->signals->with($event);
        }
    }

    /** It says of every kind of event whether it follows it, and leaves itself alone at all others. */
    public function test_follows_kinds(): void
    {
        $before = new Signals();
        foreach (EventKind::cases() as $kind) {
            $after = $before->with(
                new Event($kind, 1_000, [
                    'group' => 'g',
                    'student' => 's',
                    'visitor' => 'v',
                    'about' => 'question',
                    'help' => 'fetch',
                    'place' => 'main',
                    'from' => 2_000,
                ]),
            );
            self::assertSame(Signals::followsKind($kind), $after !== $before, $kind->value);
        }
    }
}
