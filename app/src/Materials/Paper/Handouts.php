<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Roster\Door\Passes;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Materials\HandOutRow;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\Original;

/**
 * Puts a round on paper. Variants that go by what the class list says of students are not named there: a wall need not
 * know who gets the simpler text.
 */
final readonly class Handouts
{
    /** More than so many are printed by the worker. */
    public const MOST_SLIPS = 2 * SlipsJob::AT_ONCE;

    public function __construct(
        private EntityManagerInterface $em,
        private Roster $roster,
        private FloorStore $floors,
        private Numbers $numbers,
        private HandOutPlan $plan,
        private Cupboard $cupboard,
        private Passes $passes,
    ) {
    }

    public function forRound(Round $round): HandoutsView
    {
        $present = [];
        foreach ($this->roster->students($round->lesson->class) as $student) {
            if (
                !$student->absent
                && $student->seatable
                && (!$student->guest || ($student->guestOf ?? $round->lesson->id) === $round->lesson->id)
            ) {
                $present[$student->id] = $student;
            }
        }
        $numbers = $this->numbers->forGrouping($round->grouping);
        $groups = $slips = [];
        $tables = $this->floors->now($round->grouping->id)->groups;
        $rows = $this->plan->rows($round->id);
        $originals = $this->originals($rows);
        $work = array_map(static fn (Group $group): array => self::work($rows, $originals, $group->id), $tables);
        $alike = array_values(
            array_filter(
                $work[0] ?? [],
                static fn (WorkLine $line): bool => [] ===
                    array_filter($work, static fn (array $lines): bool => !$line->isAmong($lines)),
            ),
        );
        foreach ($tables as $i => $group) {
            $own = array_values(array_filter($work[$i], static fn (WorkLine $line): bool => !$line->isAmong($alike)));
            $groups[] = new HandoutGroup($i + 1, $group->name, $group->mark, $own);
            foreach ($group->students as $seat => $id) {
                if (isset($present[$id])) {
                    $slips[$id] = $this->slip(
                        $present[$id],
                        $i + 1,
                        $seat + 1,
                        $numbers->roleOf($seat + 1),
                        $numbers->taskOf($seat + 1),
                    );
                }
            }
        }
        foreach (array_diff_key($present, $slips) as $id => $student) {
            $slips[$id] = $this->slip($student, null, null, '', '');
        }
        $lesson = $round->lesson;

        return new HandoutsView(
            $lesson->id,
            $lesson->title,
            $lesson->class->id,
            $lesson->class->name,
            null === $lesson->startsAt ? null : $lesson->startsAt->getTimestamp() * 1_000,
            $lesson->class->doorWord,
            $alike,
            $groups,
            array_values($slips),
            \count($slips) > self::MOST_SLIPS,
        );
    }

    private function slip(Student $student, ?int $group, ?int $seat, string $role, string $task): Handout
    {
        return new Handout(
            $student->id,
            $student->name,
            $group,
            $seat,
            $role,
            $task,
            '/student?pass='.$this->passes->forStudent($student),
            $student->class->cannotReadYet ? $student->picture : null,
        );
    }

    /**
     * @param list<HandOutRow> $rows
     *
     * @return array<string, Original> by id
     */
    private function originals(array $rows): array
    {
        $originals = [];
        foreach ($rows as $row) {
            $originals[$row->original] = $this->cupboard->original(
                $this->em->find(StoredOriginal::class, $row->original) ?? throw MaterialsRefused::missing(),
            );
        }

        return $originals;
    }

    /**
     * @param list<HandOutRow>        $rows
     * @param array<string, Original> $originals by id
     *
     * @return list<WorkLine>
     */
    private static function work(array $rows, array $originals, string $group): array
    {
        $lines = [];
        foreach ($rows as $row) {
            $cell = $row->cell($group);
            if (HandOutWay::Nothing === $cell['way'] || null !== $row->opensWith) {
                continue;
            }
            $original = $originals[$row->original];
            $variant = null;
            foreach (null === $row->by ? $original->variants : [] as $candidate) {
                $variant = $candidate->id === $cell['variant'] ? $candidate->name : $variant;
            }
            $lines[] = new WorkLine($original->title, $cell['way'], $variant);
        }

        return $lines;
    }
}
