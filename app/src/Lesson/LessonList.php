<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Staff\ClassStaff;

/**
 * A teacher's lessons, for the screen.
 */
final readonly class LessonList
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @return list<LessonSummary> the latest first; templates before them
     */
    public function forTeacher(Teacher $teacher): array
    {
        /** @var list<Lesson> $lessons */
        $lessons = $this->em
            ->createQueryBuilder()
            ->select('l', 'c')
            ->from(Lesson::class, 'l')
            ->join('l.class', 'c')
            ->leftJoin(ClassStaff::class, 'm', 'WITH', 'm.class = c AND m.teacher = :teacher')
            ->where('c.teacher = :teacher OR m.teacher = :teacher')
            ->andWhere('c.removedAt IS NULL')
            ->andWhere('c.isPractice = false')
            ->andWhere('l.removedAt IS NULL')
            ->setParameter('teacher', $teacher)
            ->orderBy('l.startsAt', 'DESC')
            ->addOrderBy('l.id', 'DESC')
            ->getQuery()
            ->getResult();

        return array_map(
            static fn (Lesson $lesson): LessonSummary => new LessonSummary(
                $lesson->id,
                $lesson->class->id,
                $lesson->title,
                $lesson->minutes,
                null === $lesson->startsAt ? null : (int) $lesson->startsAt->format('Uv'),
                $lesson->template,
                $lesson->class->currentLessonId === $lesson->id,
                null !== $lesson->segment,
                $lesson->endedAt,
            ),
            $lessons,
        );
    }
}
