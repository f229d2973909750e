<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\VisitFact;

/**
 * Turns the events of a lesson into facts, one after the other.
 */
final class EventFold
{
    /** @var list<array{string, int}> */
    private array $segments = [];
    /** @var array<string, list<array{string, string|null, int}>> by run */
    private array $moves = [];
    /** @var list<SignFact> */
    private array $signs = [];
    /** @var list<CallFact> */
    private array $calls = [];
    /** @var list<VisitFact> */
    private array $visits = [];
    /** @var list<array{string, int}> */
    private array $calledOn = [];
    /** @var array<int, true> by number */
    private array $passed = [];
    /** @var array<string, list<array{string, int}>> who asked, and when, by group */
    private array $waiting = [];
    /** @var array<string, array{string, int}> with whom each of the staff is, and since when */
    private array $visiting = [];

    /**
     * @param int $end milliseconds since 1970: when the lesson was over, or now
     */
    public function __construct(private readonly int $end)
    {
    }

    public function add(Row $row): void
    {
        $at = min($this->end, $row->int('at'));
        $group = $row->textOrNull('group_id') ?? '';
        $actor = $row->textOrNull('actor_id') ?? '';
        $student = $row->textOrNull('student_id') ?? '';
        $number = (int) ($row->textOrNull('number') ?? 0);
        $kind = EventKind::from($row->text('kind'));
        match ($kind) {
            EventKind::SegmentBegun => $this->segments[] = [$row->textOrNull('segment_id') ?? '', $at],
            EventKind::SeatsChanged => $this->moves[$row->textOrNull('run_id') ?? ''][] = [
                $student,
                $row->textOrNull('to_group'),
                $at,
            ],
            EventKind::WhereaboutsChanged => $this->signs[] = new SignFact(
                $student,
                $at,
                Place::from($row->text('place')),
                $row->textOrNull('seen_at'),
            ),
            EventKind::CallMade => $this->waiting[$group][] = [$actor, $at],
            EventKind::CallTakenBack => $this->answer($group, $at),
            EventKind::VisitBegun => $this->visit($actor, $group, $at),
            EventKind::VisitEnded => $this->leave($actor, $at),
            EventKind::CalledOn => $this->calledOn[] = [$student, $at],
            EventKind::CallPassed => $this->passed[$number] = true,
            default => null,
        };
        if (EventKind::CallAnswered === $kind) {
            unset($this->passed[$number]);
        }
    }

    public function facts(): EventFacts
    {
        foreach (array_keys($this->visiting) as $teacher) {
            $this->leave((string) $teacher, $this->end);
        }
        foreach (array_keys($this->waiting) as $group) {
            $this->answer((string) $group, $this->end);
        }
        $called = [];
        foreach ($this->calledOn as $i => [$student, $at]) {
            $called[] = new CalledOnFact($student, $at, isset($this->passed[$i + 1]));
        }

        return new EventFacts($this->segments, $this->moves, $this->signs, $this->calls, $this->visits, $called);
    }

    private function visit(string $teacher, string $group, int $at): void
    {
        $this->answer($group, $at);
        $this->leave($teacher, $at);
        $this->visiting[$teacher] = [$group, $at];
    }

    private function leave(string $teacher, int $at): void
    {
        if (isset($this->visiting[$teacher])) {
            [$group, $since] = $this->visiting[$teacher];
            $this->visits[] = new VisitFact($group, $teacher, $since, max($since, $at));
            unset($this->visiting[$teacher]);
        }
    }

    private function answer(string $group, int $until): void
    {
        foreach ($this->waiting[$group] ?? [] as [$student, $at]) {
            $this->calls[] = new CallFact($group, $student, $at, max($at, $until));
        }
        unset($this->waiting[$group]);
    }
}
