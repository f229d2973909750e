<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Materials\HandOut\GroupProgress;
use FreshHuddle\App\Materials\HandOut\Progress;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Record\Kept\KeptRecords;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SegmentFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Facts;

/**
 * What happened in a lesson, from its runs, its events and what was written.
 */
final readonly class FactsReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private Clock $clock,
        private EventReader $events,
        private RunFactReader $runs,
        private WritingReader $writing,
        private Progress $progress,
        private RunReader $floors,
        private ClassReader $classes,
        private KeptRecords $kept,
        private SpeechReader $speech,
    ) {
    }

    /**
     * @throws RecordRefused if the lesson has not begun
     */
    public function read(Lesson $lesson): Facts
    {
        if (null === $lesson->begunAt) {
            throw RecordRefused::missing('record.not_begun');
        }
        $kept = $this->kept->facts($lesson->id);
        if (null !== $kept) {
            return $kept;
        }
        $end = max($lesson->begunAt, $lesson->endedAt ?? $this->clock->ms());
        $events = $this->events->read($lesson->id, $end);
        $runs = $this->runs->runs($lesson->id, $events->moves, $end);
        $students = $this->students($lesson, $runs, $events);
        $ids = array_fill_keys(array_map(static fn (StudentFact $student): string => $student->id, $students), true);
        $writing = $this->writing->read($lesson, $ids, $this->places($lesson), $lesson->begunAt);

        return new Facts(
            $lesson->begunAt,
            $end,
            $this->segments($lesson, $events->segments, $end),
            $runs,
            $students,
            $events->signs,
            $events->calls,
            $events->visits,
            $events->calledOn,
            $writing->writing,
            $writing->progress,
            array_values(array_filter($writing->exits, static fn ($exit): bool => isset($ids[$exit->student]))),
            $this->speech->read($lesson, $ids),
        );
    }

    /**
     * @param list<array{string, int}> $begun
     *
     * @return list<SegmentFact>
     */
    private function segments(Lesson $lesson, array $begun, int $end): array
    {
        $kinds = [];
        foreach ($this->em->getRepository(Segment::class)->findBy(['lesson' => $lesson]) as $segment) {
            $kinds[$segment->id] = $segment->kind;
        }
        $facts = [];
        foreach ($begun as $i => [$id, $at]) {
            $kind = $kinds[$id] ?? null;
            $to = $begun[$i + 1][1] ?? $end;
            if (null !== $kind && $to > $at) {
                $facts[] = new SegmentFact($kind, $at, $to);
            }
        }

        return $facts;
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<StudentFact> in the order of the class list; whoever is on it no more at the end
     */
    private function students(Lesson $lesson, array $runs, EventFacts $events): array
    {
        $was = $this->runs->names($lesson->id);
        foreach ($runs as $run) {
            foreach ($run->seats as $seat) {
                $was[$seat->student] ??= '';
            }
        }
        foreach ($events->signs as $sign) {
            if ($sign->place->isSeen()) {
                $was[$sign->student] ??= '';
            }
        }
        $students = [];
        foreach ($this->classes->students($lesson->class->id) as $student) {
            if (isset($was[$student->id]) && $student->seatable) {
                $name = '' === $was[$student->id] ? $student->name : $was[$student->id];
                $students[] = new StudentFact($student->id, $name);
                unset($was[$student->id]);
            }
        }
        foreach ($was as $id => $name) {
            if ('' !== $name) {
                $students[] = new StudentFact((string) $id, $name);
            }
        }

        return $students;
    }

    /**
     * @return array<string, int> how many places each group fills, by group
     */
    private function places(Lesson $lesson): array
    {
        $places = [];
        foreach ($this->em->getRepository(Round::class)->findBy(['lesson' => $lesson]) as $round) {
            $places += array_map(
                static fn (GroupProgress $one): int => $one->slots,
                $this->progress->forRound($round, $this->floors->floor($round->id)),
            );
        }

        return $places;
    }
}
