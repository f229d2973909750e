<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Signal;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;

/**
 * Calls, visits and chalk marks of a round as its events have made them: what the tables say is this fold, and can be
 * worked out again from the events at any time. Sending out begins anew; with the call back calls and visits are over.
 */
final readonly class Signals
{
    /**
     * @param array<array-key, GroupSignals> $groups by group's id; groups of which nothing is known are not in it
     */
    public function __construct(public array $groups = [])
    {
    }

    /**
     * @param iterable<Event> $events in sequence. Complexity: O(events)
     */
    public static function after(iterable $events): self
    {
        $signals = new self();
        foreach ($events as $event) {
            $signals = $signals->with($event);
        }

        return $signals;
    }

    public function forGroup(string $group): GroupSignals
    {
        return $this->groups[$group] ?? new GroupSignals();
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
                EventKind::CalledBack,
                EventKind::LessonEnded,
                EventKind::CallMade,
                EventKind::CallSeen,
                EventKind::CallTakenBack,
                EventKind::VisitBegun,
                EventKind::VisitEnded,
                EventKind::ChalkMarked,
            ],
            true,
        );
    }

    public function with(Event $event): self
    {
        $group = $event->text('group');
        $signal = $this->forGroup($group);

        return match ($event->kind) {
            EventKind::SentOut, EventKind::TakenBack => new self(),
            EventKind::CalledBack, EventKind::LessonEnded => new self(
                array_map(
                    static fn (GroupSignals $groupSignals): GroupSignals => $groupSignals
                        ->left($event->at)
                        ->withCall(null),
                    $this->groups,
                ),
            ),
            EventKind::CallMade => $this->put(
                $group,
                $signal->withCall(
                    new Call($event->text('student'), CallAbout::from($event->text('about')), $event->at),
                ),
            ),
            EventKind::CallSeen => $this->put(
                $group,
                null === $signal->call
                    ? $signal
                    : $signal->withCall(
                        new Call($signal->call->by, $signal->call->about, $signal->call->at, $event->at),
                    ),
            ),
            EventKind::CallTakenBack => $this->put($group, $signal->withCall(null)),
            EventKind::VisitBegun => $this->put($group, $signal->visitedBy($event->text('visitor'), $event->at)),
            EventKind::VisitEnded => $this->put($group, $signal->left($event->at)),
            EventKind::ChalkMarked => $this->put(
                $group,
                $signal->marked(ChalkMark::tryFrom($event->text('mark')), $event->at),
            ),
            default => $this,
        };
    }

    /**
     * @return string|null the group somebody is with
     */
    public function visitedBy(string $visitor): ?string
    {
        foreach ($this->groups as $id => $group) {
            if ($group->visitor === $visitor) {
                return (string) $id;
            }
        }

        return null;
    }

    /**
     * @return int|null how many calls came before that of a group, counting it: 1 is next; null: it does not call
     */
    public function placeInQueue(string $group): ?int
    {
        $call = $this->forGroup($group)->call;
        if (null === $call) {
            return null;
        }
        $place = 1;
        foreach ($this->groups as $id => $other) {
            if (null !== $other->call && [$other->call->at, (string) $id] < [$call->at, $group]) {
                ++$place;
            }
        }

        return $place;
    }

    private function put(string $id, GroupSignals $group): self
    {
        return new self(array_replace($this->groups, [$id => $group]));
    }
}
