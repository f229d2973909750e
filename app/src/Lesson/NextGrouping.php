<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\SignUpPlace;
use FreshHuddle\App\Roster\Device\StudentUser;

/**
 * The grouping of the lesson that the student's class comes into, until its groups are shown.
 */
final readonly class NextGrouping implements SignUpPlace
{
    public function __construct(private EntityManagerInterface $em, private Clock $clock)
    {
    }

    public function groupingFor(StudentUser $student): ?string
    {
        $round = null === $student->lessonId ? null : $this->em->getRepository(Round::class)->findOneBy(['lesson' => $student->lessonId], ['number' => 'ASC']);

        return null === $round || Moments::read($round->moments)->phase($this->clock->ms())->showsGroups() ? null : $round->grouping->id;
    }
}
