<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Desk\Regroup;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\MakeLesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Plan\CellView;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Materials\HandOut\Plan\RowPlan;
use FreshHuddle\App\Materials\HandOut\Plan\SavePlan;
use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Visible;
use Symfony\Component\Uid\Uuid;

/**
 * Makes a lesson of a class from a file: all of it or nothing.
 */
final readonly class LessonFileImporter
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private LessonPlanReader $reader,
        private Lessons $lessons,
        private RunningOrders $orders,
        private Regroup $regroup,
        private FloorStore $floors,
        private Cupboard $cupboard,
        private MediaShelf $shelf,
        private HandOutPlan $plan,
    ) {
    }

    /**
     * @param string   $bytes    of the archive
     * @param int|null $startsAt milliseconds since 1970; null: in a moment
     *
     * @throws MaterialsRefused if it cannot be read, or something in it cannot be kept
     */
    public function import(Teacher $teacher, SchoolClass $class, string $bytes, ?int $startsAt): Lesson
    {
        $archive = LessonArchive::open($bytes);
        $plan = $this->reader->read($archive->plan);

        return $this->transaction->run(
            fn (): Lesson => $this->lessons->createWith(
                $class,
                new MakeLesson($plan->title, $plan->minutes, $startsAt),
                function (Lesson $lesson) use ($teacher, $plan, $archive): void {
                    $lesson->talkOnly = $plan->talkOnly;
                    $lesson->locksAtEnd = $plan->locksAtEnd;
                    $originals = $this->originals($teacher, $plan, $archive);
                    $segments = $this->segments($lesson, $plan, $this->groupings($lesson, $plan));
                    foreach ($plan->segments as $i => $part) {
                        $round = $segments[$i]->round;
                        if (null !== $part->round && null !== $round && [] !== $part->round->handOut) {
                            $this->handOut($teacher, $round, $part->round->handOut, $originals, $segments);
                        }
                    }
                },
            ),
        );
    }

    /**
     * @return list<string> ids, in the order of the file
     */
    private function originals(Teacher $teacher, LessonPlan $plan, LessonArchive $archive): array
    {
        $kept = $ids = [];
        foreach ($plan->originals as $save) {
            $media = [];
            $shown = array_flip($this->cupboard->mediaIn($save));
            foreach (array_intersect_key($archive->media, $shown) as $id => $file) {
                $media[$id] = $kept[$id] ??= $this->shelf->putBytes($teacher, $archive->bytes($file))->id;
            }
            $ids[] = $this->cupboard->add($teacher, $save, $media)->id;
        }

        return $ids;
    }

    /**
     * @return list<Grouping> in the order of the file
     */
    private function groupings(Lesson $lesson, LessonPlan $plan): array
    {
        return array_map(
            fn (GroupingPart $part): Grouping => $this->regroup->likeElsewhere(
                $lesson->class,
                mb_substr(Visible::check($part->name) ? $part->name : $lesson->title, 0, 80),
                $part->settings,
                $part->numbers,
                $part->groups,
            ),
            $plan->groupings,
        );
    }

    /**
     * @param list<Grouping> $groupings
     *
     * @return list<Segment>
     */
    private function segments(Lesson $lesson, LessonPlan $plan, array $groupings): array
    {
        $segments = [];
        foreach ($plan->segments as $part) {
            $segments[] = $segment = new Segment(
                Uuid::v7()->toRfc4122(),
                $lesson,
                null,
                $part->kind,
                $part->minutes,
            );
            $segment->instructions = $part->instructions;
            if (null !== $part->round) {
                $round = new Round(Uuid::v7()->toRfc4122(), $segment, $groupings[$part->round->grouping]);
                $round->lookSeconds = $part->round->lookSeconds;
                $round->callBackSeconds = $part->round->callBackSeconds;
                $round->autoCallBack = $part->round->autoCallBack;
                $round->prepare($part->round->notices);
            }
        }
        $this->orders->arrange($lesson, $segments);
        $this->em->flush();

        return $segments;
    }

    /**
     * @param list<RowPart> $rows
     * @param list<string>  $originals
     * @param list<Segment> $segments
     */
    private function handOut(Teacher $teacher, Round $round, array $rows, array $originals, array $segments): void
    {
        $groups = array_map(
            static fn (Group $group): string => $group->id,
            $this->floors->now($round->grouping->id)->groups,
        );
        $this->plan->save(
            $teacher,
            $round,
            new SavePlan(
                array_map(
                    static fn (RowPart $row): RowPlan => new RowPlan(
                        $originals[$row->original],
                        $row->way,
                        // A class with fewer groups has no use for what the others get.
                        array_values(
                            array_map(
                                static fn (CellPart $cell): CellView => new CellView(
                                    $groups[$cell->group],
                                    $cell->way,
                                    $cell->variant,
                                ),
                                array_filter(
                                    $row->cells,
                                    static fn (CellPart $cell): bool => isset($groups[$cell->group]),
                                ),
                            ),
                        ),
                        $row->variant,
                        $row->by,
                        null === $row->opensWith ? null : $segments[$row->opensWith]->id,
                    ),
                    $rows,
                ),
            ),
        );
    }
}
