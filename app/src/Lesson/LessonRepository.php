<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Exception\LessonRefused;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * Which lessons and rounds there are.
 */
final readonly class LessonRepository
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @return list<string> ids
     */
    public function idsOf(string $classId): array
    {
        /** @var list<string> $ids */
        $ids = $this->em
            ->createQuery('SELECT l.id FROM '.Lesson::class.' l WHERE l.class = :class AND l.removedAt IS NULL')
            ->setParameter('class', $classId)
            ->getSingleColumnResult();

        return $ids;
    }

    /**
     * The lesson its class is in just now, while that is another one and has begun.
     */
    public function otherThatIsOn(Lesson $lesson): ?Lesson
    {
        $current = $lesson->class->currentLessonId;
        $other = null === $current || $current === $lesson->id ? null : $this->em->find(Lesson::class, $current);

        return null === $other || null === $other->segment || null !== $other->endedAt || null !== $other->removedAt
            ? null
            : $other;
    }

    /**
     * A class is taken out of a lesson that is on only by somebody who knows that it is.
     *
     * @param string|null $leaving the lesson that the class is known to leave
     *
     * @throws LessonRefused while another lesson of the class is on than the one named
     */
    public function mayTakeClass(Lesson $lesson, ?string $leaving): void
    {
        $other = $this->otherThatIsOn($lesson);
        if (null !== $other && $other->id !== $leaving) {
            throw LessonRefused::outdated('lesson.other_is_on', 'leaving', ['title' => $other->title]);
        }
    }

    /**
     * @return list<Round> that are done in the groups of a grouping, with their lessons; none of a lesson that is over
     */
    public function roundsIn(string $groupingId): array
    {
        /** @var list<Round> $rounds */
        $rounds = $this->em
            ->createQuery(
                'SELECT r, l FROM '.
                    Round::class.
                    ' r JOIN r.lesson l WHERE r.grouping = :grouping AND r.number IS NOT NULL AND l.removedAt IS NULL
                        AND l.endedAt IS NULL ORDER BY r.id',
            )
            ->setParameter('grouping', $groupingId)
            ->getResult();

        return $rounds;
    }
}
