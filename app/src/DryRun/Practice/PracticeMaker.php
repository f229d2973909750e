<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\LessonCopier;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\MakeLesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\FromGroups;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\HandOutService;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Rooms\Source\SaveRoomSource;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\Uid\Uuid;

/**
 * Makes the double of a lesson: the same list, groups, running order and worksheets, none of them the real ones.
 */
final readonly class PracticeMaker
{
    public function __construct(
        private EntityManagerInterface $em,
        private Roster $roster,
        private RoomSources $sources,
        private Lessons $lessons,
        private LessonCopier $copier,
        private RunningOrders $orders,
        private FloorStore $floors,
        private FloorChanges $changes,
        private HandOutService $handOut,
    ) {
    }

    /**
     * @param Teacher $teacher whose practice it is
     */
    public function double(Lesson $lesson, Teacher $teacher): Lesson
    {
        [$class, $twins] = $this->roster->double($lesson->class, $teacher);
        // Wherever the class meets: in practice nobody is sent to a place that others could be in.
        $this->sources->save($class, new SaveRoomSource(SourceKind::OwnRooms));
        $practice = $this->lessons->createWith(
            $class,
            new MakeLesson($lesson->title, $lesson->minutes),
            fn (Lesson $double) => $this->copier->begin($double, $lesson, FromGroups::Same),
        );
        $practice->talkOnly = $lesson->talkOnly;
        $this->em->flush();
        $seated = [];
        foreach ($this->pairs($lesson, $practice) as [$from, $round]) {
            if (!isset($seated[$round->grouping->id])) {
                $this->seat($from, $round, $twins);
            }
            $seated[$round->grouping->id] = true;
        }
        foreach ($this->pairs($lesson, $practice) as [, $round]) {
            try {
                $this->handOut->makeCopies($round);
            } catch (MaterialsRefused) {
                // Not ready to be handed out; the ready check of the practice says so, as that of the lesson does.
            }
        }

        return $practice;
    }

    /**
     * @return list<array{Round, Round}> each round, and what it has become
     */
    private function pairs(Lesson $lesson, Lesson $practice): array
    {
        $pairs = [];
        $doubles = $this->rounds($practice);
        foreach ($this->rounds($lesson) as $i => $round) {
            if (isset($doubles[$i])) {
                $pairs[] = [$round, $doubles[$i]];
            }
        }

        return $pairs;
    }

    /**
     * @return list<Round> in their order
     */
    private function rounds(Lesson $lesson): array
    {
        $rounds = [];
        foreach ($this->orders->segments($lesson) as $segment) {
            if (null !== $segment->round) {
                $rounds[] = $segment->round;
            }
        }

        return $rounds;
    }

    /**
     * The same groups: by name, with the doubles of those who sit there. Copies belong to groups, so theirs stay.
     *
     * @param array<string, string> $twins
     */
    private function seat(Round $from, Round $round, array $twins): void
    {
        $was = $this->floors->now($from->grouping->id);
        $grouping = $round->grouping;
        $this->changes->change($grouping, $this->floors->steps($grouping->id)['step'], 'practice', static function (
            Floor $floor,
        ) use ($was, $twins): Floor {
            $groups = [];
            foreach ($was->groups as $i => $group) {
                $groups[] = new Group(
                    $floor->groups[$i]->id ?? Uuid::v7()->toRfc4122(),
                    $group->name,
                    self::doubles($group->students, $twins),
                    $group->mark,
                );
            }

            return new Floor($groups);
        });
    }

    /**
     * @param list<string>          $students
     * @param array<string, string> $twins
     *
     * @return list<string>
     */
    private static function doubles(array $students, array $twins): array
    {
        $doubles = [];
        foreach ($students as $student) {
            if (isset($twins[$student])) {
                $doubles[] = $twins[$student];
            }
        }

        return $doubles;
    }
}
