<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\CameFrom;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Notice\NoticeMessage;
use FreshHuddle\App\Live\NoticeView;
use FreshHuddle\App\Live\Projections;
use FreshHuddle\App\Rooms\Run\RunRoomStore;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Keeps what has been decided: events, what follows from them, and where the round stands then.
 */
final readonly class Keeper
{
    public function __construct(
        private EntityManagerInterface $em,
        private EventStore $events,
        private RunStore $runs,
        private RunRoomStore $runRooms,
        private Projections $projections,
        private Schedule $schedule,
        private GroupMembers $members,
        private Clock $clock,
    ) {
    }

    /**
     * @param Round $round as it is by now: the lesson is held
     *
     * @return list<Told>
     *
     * @throws CommandRefused
     */
    public function apply(Round $round, Command $command, Actor $actor, ?CameFrom $cameFrom = null): array
    {
        return $this->keep($round, $command->decide($round->state()->state(), $this->clock->ms()), $actor, $cameFrom);
    }

    /**
     * @param list<Event> $events
     *
     * @return list<Told>
     */
    public function keep(Round $round, array $events, Actor $actor, ?CameFrom $cameFrom = null): array
    {
        if ([] === $events) {
            return [];
        }
        foreach ($events as $event) {
            if (EventKind::SentOut === $event->kind) {
                $run = $this->runs->begin(
                    $round,
                    $event->at,
                    $event->moment('outAt') ?? $event->at,
                    $cameFrom ?? new CameFrom($round->lesson->id, $round->segment->id, null),
                );
                $this->runRooms->follow($run);
            }
        }
        $events = array_map(fn (Event $event): Event => $this->addressed($round, $event), $events);
        $seq = $this->events->append($round->lesson->id, $round->id, $actor, $events);
        $this->projections->follow($round->id, $events);
        $state = $round->state()->state();
        $messages = [];
        foreach ($events as $event) {
            $state = $state->with($event);
            $this->schedule->plan($round, $event, $state, $seq);
            $to = $event->to ?? [];
            $messages[] = match (true) {
                [] !== $to || $event->kind->isQuiet() => new Told($seq, null, $to),
                EventKind::NoticeSaid === $event->kind => new Told(
                    $seq,
                    new NoticeMessage(new NoticeView($seq, $event->text('text'), $event->at)),
                ),
                \in_array(
                    $event->kind,
                    [EventKind::SegmentBegun, EventKind::LessonEnded, EventKind::LessonReopened],
                    true,
                ) => new Told($seq, new RefreshHint()),
                default => new Told($seq, new RoundMessage($seq, $round->id, Moments::fromState($state))),
            };
        }
        $round->agree(Moments::fromState($state));
        $this->em->flush();

        return $messages;
    }

    /**
     * What passes with one group or one student is shown to nobody else.
     */
    private function addressed(Round $round, Event $event): Event
    {
        return match ($event->kind) {
            EventKind::CallMade,
            EventKind::CallSeen,
            EventKind::CallTakenBack,
            EventKind::VisitBegun,
            EventKind::VisitEnded,
            EventKind::ChalkMarked => $event->addressed($this->members->inGroup($round, $event->text('group'))),
            EventKind::TakenAside, EventKind::PutBack, EventKind::Fetched => $event->addressed([
                $event->text('student'),
            ]),
            default => $event,
        };
    }
}
