<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Live;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\Fetch;
use FreshHuddle\Core\Live\Command\KeepWorking;
use FreshHuddle\Core\Live\Command\PutBack;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Command\TakeAside;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Observability;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Where each student is to be: with their group, unless they were taken aside or called back alone.
 */
final class MovesTest extends TestCase
{
    private RoundState $state;
    private Moves $moves;
    private int $now = 1_000_000;

    protected function setUp(): void
    {
        $this->state = RoundState::planned();
        $this->moves = new Moves();
        $this->give(new SendOut(0, 25));
    }

    public function test_whoever_is_taken_aside_is_to_be_there_and_back_where_they_were_after_that(): void
    {
        self::assertSame('g1', $this->expected('ada'));
        $this->give(new TakeAside(['ada'], 'quiet', 0, $this->moves));
        self::assertSame('quiet', $this->expected('ada'));
        self::assertSame('g1', $this->expected('ben'), 'nobody else moves');
        $this->give(new PutBack(['ada', 'ben'], $this->moves));
        self::assertSame('g1', $this->expected('ada'));
        self::assertNull($this->moves->forStudent('ben'), 'who was not away is not put back');
    }

    public function test_one_who_is_called_back_alone_goes_when_the_countdown_is_over(): void
    {
        $this->give(new TakeAside(['ada'], Evidence::MAIN, 30, $this->moves));
        self::assertSame('g1', $this->expected('ada'));
        $this->now += 30_000;
        self::assertSame(Evidence::MAIN, $this->expected('ada'));
        self::assertSame(
            $this->now,
            $this->moves->expected('ada', 'g1', $this->state, $this->now)->since,
            'and has time to get there from then on',
        );
    }

    public function test_one_press_and_the_same_press_again_are_one(): void
    {
        $this->give(new TakeAside(['ada'], 'quiet', 0, $this->moves));
        self::assertSame([], (new TakeAside(['ada'], 'quiet', 0, $this->moves))->decide($this->state, $this->now));
        self::assertCount(
            1,
            (new TakeAside(['ada'], 'office', 0, $this->moves))->decide($this->state, $this->now),
            'to another room they go on',
        );
        $this->give(new Fetch(['ada' => Help::Fetch], $this->moves));
        self::assertSame(
            [],
            (new Fetch(['ada' => Help::Fetch], $this->moves))->decide($this->state, $this->now + 1_999),
        );
        self::assertCount(
            1,
            (new Fetch(['ada' => Help::Fetch], $this->moves))->decide($this->state, $this->now + 2_000),
            'later it is said once more',
        );
    }

    public function test_whoever_is_given_another_seat_is_to_sit_in_it_and_has_time_to_get_there(): void
    {
        $this->give(new TakeAside(['ada'], 'quiet', 0, $this->moves));
        $this->now += 60_000;
        $this->moves = $this->moves->with(new Event(EventKind::SeatsChanged, $this->now, ['student' => 'ada']));
        $expected = $this->moves->expected('ada', 'g2', $this->state, $this->now);
        self::assertSame(['g2', $this->now], [$expected->place, $expected->since]);
        $seen = new Evidence(servicePlace: 'g1', serviceAt: $this->now);
        self::assertSame(
            Place::OnTheWay,
            Whereabouts::fromEvidence($seen, $expected->place, $expected->since, $this->now + 29_999)->place,
        );
        self::assertSame(
            Place::Elsewhere,
            Whereabouts::fromEvidence($seen, $expected->place, $expected->since, $this->now + 30_000)->place,
        );
    }

    public function test_a_call_back_of_all_fetches_from_side_rooms_and_calling_it_off_leaves_them_there(): void
    {
        $this->give(new TakeAside(['ada'], 'quiet', 0, $this->moves));
        $this->give(new CallBack(10));
        self::assertSame('quiet', $this->expected('ada'), 'as long as it runs down');
        $called = [$this->state, $this->moves];
        $this->give(new KeepWorking());
        self::assertSame('quiet', $this->expected('ada'));
        [$this->state, $this->moves] = $called;
        $this->now += 10_000;
        self::assertSame(Evidence::MAIN, $this->expected('ada'));
        $this->give(new SendOut(0, 10));
        self::assertSame('g1', $this->expected('ada'), 'the next time they are with their group again');
    }

    public function test_while_nobody_is_out_nobody_is_taken_aside(): void
    {
        $this->expectExceptionObject(CommandRefused::nobodyIsOut());
        (new TakeAside(['ada'], 'quiet', 0, new Moves()))->decide(RoundState::planned(), 0);
    }

    public function test_a_countdown_has_its_limits(): void
    {
        $this->expectException(CommandRefused::class);
        new TakeAside(['ada'], Evidence::MAIN, 121, new Moves());
    }

    #[DataProvider('helps')]
    public function test_what_one_press_can_do(?Help $help, Evidence $evidence, ?string $expected, Observability $sight): void
    {
        self::assertSame($help, Help::for(Whereabouts::fromEvidence($evidence, $expected, 0, 100_000, $sight)));
    }

    /**
     * @return iterable<string, array{Help|null, Evidence, string|null, Observability}>
     */
    public static function helps(): iterable
    {
        yield 'seen in a wrong room: taken out of it' => [
            Help::Take,
            new Evidence('g2', 90_000),
            'g1',
            Observability::Service,
        ];
        yield 'left behind in the main session: taken along' => [
            Help::Take,
            new Evidence('main', 90_000),
            'g1',
            Observability::Service,
        ];
        yield 'seen in a room, but theirs is a link nobody can move them to: reminded' => [
            Help::Remind,
            new Evidence('g2', 90_000),
            'g1',
            Observability::Link,
        ];
        yield 'the page is open, they are in no room: reminded' => [
            Help::Remind,
            new Evidence(pageAt: 99_000),
            'g1',
            Observability::Service,
        ];
        yield 'silent for a while: everything is tried' => [
            Help::Fetch,
            new Evidence(pageAt: 10_000),
            'g1',
            Observability::Service,
        ];
        yield 'never came: there is nobody to fetch' => [null, new Evidence(), 'g1', Observability::Service];
        yield 'no seat: they need a seat' => [null, new Evidence(pageAt: 99_000), null, Observability::Service];
        yield 'where they should be' => [null, new Evidence('g1', 90_000), 'g1', Observability::Service];
        yield 'in the classroom, with the page open' => [null, new Evidence(pageAt: 99_000), 'g1', Observability::Page];
    }

    public function test_whatever_is_pressed_the_state_is_the_fold_of_the_events_and_everybody_is_to_be_somewhere(): void
    {
        for ($seed = 0; $seed < 200; ++$seed) {
            $dice = new Randomizer(new Xoshiro256StarStar($seed));
            [$state, $moves, $events, $now] = [RoundState::planned(), new Moves(), [], 1_000_000];
            for ($i = 0; $i < 60; ++$i) {
                $now += $dice->getInt(0, 30_000);
                $students = array_map(static fn (int $n): string => "s{$n}", range(1, $dice->getInt(1, 4)));
                $command = match ($dice->getInt(0, 6)) {
                    0 => new SendOut($dice->getInt(0, 20), 25),
                    1 => new CallBack(10),
                    2 => new PutBack($students, $moves),
                    3 => new Fetch(array_fill_keys($students, Help::cases()[$dice->getInt(0, 2)]), $moves),
                    default => new TakeAside(
                        $students,
                        ['main', 'quiet', 'office'][$dice->getInt(0, 2)],
                        $dice->getInt(0, 30),
                        $moves,
                    ),
                };
                try {
                    $more = $command->decide($state, $now);
                } catch (CommandRefused) {
                    continue;
                }
                foreach ($more as $event) {
                    $events[] = $event;
                    $state = $state->with($event);
                    $moves = $moves->with($event);
                }
                $expected = $moves->expected('s1', 'g1', $state, $now);
                self::assertContains(
                    $expected->place,
                    $state->phase($now)->isOut() ? ['g1', 'main', 'quiet', 'office'] : ['main'],
                );
                self::assertLessThanOrEqual($now, $expected->since);
            }
            self::assertEquals($moves, Moves::after($events));
        }
    }

    private function expected(string $student): ?string
    {
        return $this->moves->expected($student, 'g1', $this->state, $this->now)->place;
    }

    private function give(Command $command): void
    {
        foreach ($command->decide($this->state, $this->now) as $event) {
            $this->state = $this->state->with($event);
            $this->moves = $this->moves->with($event);
        }
    }

    /** It says of every kind of event whether it follows it, and leaves itself alone at all others. */
    public function test_follows_kinds(): void
    {
        $before = new Moves();
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
            self::assertSame(Moves::followsKind($kind), $after !== $before, $kind->value);
        }
    }
}
