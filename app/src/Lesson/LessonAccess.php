<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Staff\Staff;

/**
 * What of this area is in a teacher's classes, and whether they may do there what they are about to.
 */
final readonly class LessonAccess
{
    public function __construct(private EntityManagerInterface $em, private Staff $staff)
    {
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function lesson(Teacher $teacher, string $id): Lesson
    {
        $found = $this->staff->find(
            Lesson::class,
            $this->em
                ->createQueryBuilder()
                ->select('l', 'c')
                ->from(Lesson::class, 'l')
                ->join('l.class', 'c')
                ->where('l.removedAt IS NULL'),
            'l',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->class);

        return $found;
    }

    /**
     * A lesson that was thrown away.
     *
     * @throws RosterRefused if there is none such in a class of theirs, or if they only assist there
     */
    public function removed(Teacher $teacher, string $id): Lesson
    {
        $found = $this->staff->find(
            Lesson::class,
            $this->em
                ->createQueryBuilder()
                ->select('l', 'c')
                ->from(Lesson::class, 'l')
                ->join('l.class', 'c')
                ->where('l.removedAt IS NOT NULL'),
            'l',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->class);

        return $found;
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function round(Teacher $teacher, string $id): Round
    {
        $found = $this->staff->find(
            Round::class,
            $this->em
                ->createQueryBuilder()
                ->select('r', 'l', 'c')
                ->from(Round::class, 'r')
                ->join('r.lesson', 'l')
                ->join('l.class', 'c')
                ->where('l.removedAt IS NULL'),
            'r',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->lesson->class);

        return $found;
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function segment(Teacher $teacher, string $id): Segment
    {
        $found = $this->staff->find(
            Segment::class,
            $this->em
                ->createQueryBuilder()
                ->select('s', 'l', 'c', 'r')
                ->from(Segment::class, 's')
                ->join('s.lesson', 'l')
                ->join('l.class', 'c')
                ->leftJoin('s.round', 'r')
                ->where('l.removedAt IS NULL'),
            's',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->lesson->class);

        return $found;
    }
}
