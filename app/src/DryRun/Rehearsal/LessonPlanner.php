<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Rehearsal;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\HandOut\Copy\DueCopies;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Staff\ClassStaff;
use FreshHuddle\Core\DryRun\Blank;
use FreshHuddle\Core\DryRun\Blanks;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedLesson;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedRound;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedTable;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Observability;
use FreshHuddle\Core\Materials\HandOutRow;

/**
 * A lesson as it is planned, as a rehearsal needs it.
 */
final readonly class LessonPlanner
{
    public function __construct(
        private EntityManagerInterface $em,
        private RunningOrders $orders,
        private FloorStore $floors,
        private ClassReader $classes,
        private RoomSources $sources,
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private Clock $clock,
    ) {
    }

    /**
     * @return PlannedLesson its rounds that have not been out yet
     */
    public function plan(Lesson $lesson): PlannedLesson
    {
        $class = $lesson->class;
        $source = $this->sources->forClass($class);
        $students = [];
        foreach ($this->classes->students($class->id) as $student) {
            if ($student->seatable && !$student->absent && $student->takesPartIn($lesson->id)) {
                $students[$student->id] = $student->name;
            }
        }
        $rounds = [];
        $minutes = 0;
        foreach (null === $lesson->endedAt ? $this->orders->segments($lesson) : [] as $segment) {
            $round = $segment->round;
            if (null !== $round && Phase::Planned === $round->state()->phase($this->clock->ms())) {
                $rounds[] = $this->round($round, 60_000 * $minutes, $students);
            }
            $minutes += $segment->minutes;
        }

        return new PlannedLesson(
            $students,
            $rounds,
            max($lesson->minutes, $minutes),
            $class->cannotReadYet,
            $source->takesIn && $source->kind->isHere(),
            Observability::forSource($source->kind),
            1 + $this->em->getRepository(ClassStaff::class)->count(['class' => $class]),
        );
    }

    /**
     * @param array<string, string> $students who are to come
     */
    private function round(Round $round, int $beginsAt, array $students): PlannedRound
    {
        $floor = $this->floors->now($round->grouping->id);
        $blanks = [];
        foreach ($this->plan->rows($round->id) as $row) {
            foreach (null === $row->opensWith ? $this->due->forHandOut($row, $floor) : [] as $due) {
                $group = $due->group ?? $floor->groupOf($due->student ?? '')?->id;
                if (null !== $group && $due->way->mayWrite()) {
                    // A copy each: those of one member stand for those of all.
                    $blanks[$group][$row->original] ??= self::of(
                        $this->blanks($row, $due->variant),
                        null !== $due->student,
                    );
                }
            }
        }
        $tables = [];
        foreach ($floor->groups as $group) {
            $members = array_values(
                array_filter($group->students, static fn (string $id): bool => isset($students[$id])),
            );
            $tables[] = new PlannedTable(
                $group->id,
                $group->name,
                $members,
                array_merge(...array_values($blanks[$group->id] ?? [])),
            );
        }

        return new PlannedRound(
            $round->number ?? 1,
            $beginsAt,
            $round->lookSeconds,
            max(1, $round->segment->minutes),
            $round->callBackSeconds,
            $tables,
        );
    }

    /**
     * @return list<Blank>
     */
    private function blanks(HandOutRow $row, string $variant): array
    {
        return Blanks::of($this->cupboard->original($this->plan->original($row))->forCopies($variant));
    }

    /**
     * @param list<Blank> $blanks
     *
     * @return list<Blank> in a copy of one's own everything is one's own
     */
    private static function of(array $blanks, bool $isOwnCopy): array
    {
        return array_map(
            static fn (Blank $blank): Blank => new Blank(
                $blank->slot,
                $isOwnCopy || $blank->isOwn,
                $blank->words,
                $blank->letters,
            ),
            $blanks,
        );
    }
}
