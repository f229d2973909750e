<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;

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
        $ids = $this->em->createQuery('SELECT l.id FROM '.Lesson::class.' l WHERE l.class = :class AND l.removedAt IS NULL')->setParameter('class', $classId)->getSingleColumnResult();

        return $ids;
    }

    /**
     * @return list<Round> that are done in the groups of a grouping, with their lessons
     */
    public function roundsIn(string $groupingId): array
    {
        /** @var list<Round> $rounds */
        $rounds = $this->em->createQuery('SELECT r, l FROM '.Round::class.' r JOIN r.lesson l WHERE r.grouping = :grouping AND r.number IS NOT NULL AND l.removedAt IS NULL ORDER BY r.id')
            ->setParameter('grouping', $groupingId)->getResult();

        return $rounds;
    }
}
