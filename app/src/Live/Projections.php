<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\Core\Lesson\Event;
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
        $signals = $signalsAfter = $this->signals->forRound($roundId);
        $moves = $movesAfter = $this->moves->forRound($roundId);
        foreach ($events as $event) {
            $signalsAfter = $signalsAfter->with($event);
            $movesAfter = $movesAfter->with($event);
        }
        $this->signals->put($roundId, $signals, $signalsAfter);
        $this->moves->put($roundId, $moves, $movesAfter);
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
