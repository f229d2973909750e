<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * The tables that say at a glance what the events of a round have come to.
 */
final readonly class Projections
{
    public function __construct(private SignalStore $signals, private MoveStore $moves, private EventStore $events)
    {
    }

    /**
     * @param list<Event> $events that have just been kept, while the lesson is held
     */
    public function follow(string $roundId, array $events): void
    {
        $kinds = array_map(static fn (Event $event): EventKind => $event->kind, $events);
        if ([] !== array_filter($kinds, Signals::followsKind(...))) {
            $signals = $after = $this->signals->forRound($roundId);
            foreach ($events as $event) {
                $after = $after->with($event);
            }
            $this->signals->put($roundId, $signals, $after);
        }
        if ([] !== array_filter($kinds, Moves::followsKind(...))) {
            $moves = $after = $this->moves->forRound($roundId);
            foreach ($events as $event) {
                $after = $after->with($event);
            }
            $this->moves->put($roundId, $moves, $after);
        }
    }

    /**
     * Works them out again from all the events of a round. The lesson must be held.
     */
    public function again(string $lessonId, string $roundId): void
    {
        $events = iterator_to_array($this->events->ofRound($lessonId, $roundId), false);
        $this->signals->put($roundId, $this->signals->forRound($roundId), Signals::after($events));
        $this->moves->put($roundId, $this->moves->forRound($roundId), Moves::after($events));
    }
}
