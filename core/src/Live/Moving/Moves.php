<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Moving;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Evidence;

/**
 * Who was taken aside in a round, put back, given another seat or fetched, as its events have made it: what the table
 * says is this fold. Sending out begins anew. Seats are not in it: a floor keeps them.
 */
final readonly class Moves
{
    /**
     * @param array<array-key, Move> $students by student; of whom nothing was done are not in it
     */
    public function __construct(public array $students = [])
    {
    }

    /**
     * @param iterable<Event> $events in sequence. Complexity: O(events)
     */
    public static function after(iterable $events): self
    {
        $moves = new self();
        foreach ($events as $event) {
            $moves = $moves->with($event);
        }

        return $moves;
    }

    public function forStudent(string $student): ?Move
    {
        return $this->students[$student] ?? null;
    }

    /**
     * Whether events of this kind change anything here: of others nothing has to be looked up.
     */
    public static function followsKind(EventKind $kind): bool
    {
        return \in_array(
            $kind,
            [
                EventKind::SentOut,
                EventKind::TakenBack,
                EventKind::TakenAside,
                EventKind::PutBack,
                EventKind::SeatsChanged,
                EventKind::Fetched,
            ],
            true,
        );
    }

    public function with(Event $event): self
    {
        $student = $event->text('student');

        return match ($event->kind) {
            EventKind::SentOut, EventKind::TakenBack => new self(),
            EventKind::TakenAside => $this->put(
                $student,
                new Move(
                    $event->text('place'),
                    $event->moment('from') ?? $event->at,
                    $this->forStudent($student)?->groupAt($event->at),
                ),
            ),
            // Whoever is given a seat is to sit in it.
            EventKind::PutBack, EventKind::SeatsChanged => $this->put($student, new Move(null, $event->at)),
            EventKind::Fetched => $this->put(
                $student,
                ($this->forStudent($student) ?? new Move(null, 0))->fetched($event->at, Help::from($event->text('help'))),
            ),
            default => $this,
        };
    }

    /**
     * Where a student is to be at a moment, and since when.
     *
     * @param string|null $group the id of the group they sit in; null without a seat
     * @param int         $now   milliseconds since 1970
     */
    public function expected(string $student, ?string $group, RoundState $state, int $now): ExpectedPlace
    {
        if (!$state->phase($now)->isOut()) {
            return new ExpectedPlace(Evidence::MAIN, $state->phaseSince($now) ?? 0);
        }
        // While the call back runs down they are still expected where they were.
        $out = min($now, $state->outAt ?? 0);
        $move = $this->forStudent($student);

        return new ExpectedPlace(
            $move?->groupAt($now) ?? $group,
            null === $move || $now < $move->from ? $out : max($out, $move->from),
        );
    }

    private function put(string $student, Move $move): self
    {
        return new self(array_replace($this->students, [$student => $move]));
    }
}
