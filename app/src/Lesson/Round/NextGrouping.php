<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\SignUp\SignUpPlace;
use FreshHuddle\App\Roster\Device\StudentUser;

/**
 * The grouping of the first round that has not been shown yet, in the lesson the student's class comes into.
 */
final readonly class NextGrouping implements SignUpPlace
{
    public function __construct(private EntityManagerInterface $em, private Clock $clock)
    {
    }

    public function groupingFor(StudentUser $student): ?string
    {
        if (null === $student->lessonId) {
            return null;
        }
        /** @var list<Round> $rounds */
        $rounds = $this->em
            ->createQueryBuilder()
            ->select('r', 'g')
            ->from(Round::class, 'r')
            ->join('r.grouping', 'g')
            ->where('r.lesson = :lesson')
            ->andWhere('r.number IS NOT NULL')
            ->setParameter('lesson', $student->lessonId)
            ->orderBy('r.number')
            ->getQuery()
            ->getResult();
        $shown = [];
        foreach ($rounds as $round) {
            if ($round->state()->phase($this->clock->ms())->showsGroups()) {
                $shown[] = $round->grouping->id;
            } elseif (!\in_array($round->grouping->id, $shown, true)) {
                return $round->grouping->id;
            }
        }

        return null;
    }
}
