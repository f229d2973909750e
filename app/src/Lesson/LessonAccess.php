<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Owned;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;

/**
 * What of this area belongs to a teacher.
 */
final readonly class LessonAccess
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @throws Problem 404
     */
    public function lesson(Teacher $teacher, string $id): Lesson
    {
        return Owned::one(Lesson::class, $this->em->createQueryBuilder()->select('l', 'c')->from(Lesson::class, 'l')->join('l.class', 'c'), 'l', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function round(Teacher $teacher, string $id): Round
    {
        return Owned::one(Round::class, $this->em->createQueryBuilder()->select('r', 'l', 'c')->from(Round::class, 'r')->join('r.lesson', 'l')->join('l.class', 'c'), 'r', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function segment(Teacher $teacher, string $id): Segment
    {
        return Owned::one(Segment::class, $this->em->createQueryBuilder()->select('s', 'l', 'c', 'r')->from(Segment::class, 's')->join('s.lesson', 'l')->join('l.class', 'c')->leftJoin('s.round', 'r'), 's', $teacher, $id);
    }
}
