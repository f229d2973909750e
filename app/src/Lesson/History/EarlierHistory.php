<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\History;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Roster\SchoolClass;
use Symfony\Component\Uid\Uuid;

/**
 * What a class that has moved in brings along: groups it has sat in. *Make groups* counts them as its own.
 */
final readonly class EarlierHistory
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param list<GroupingUse> $uses
     */
    public function keep(SchoolClass $class, array $uses): void
    {
        foreach ($uses as $use) {
            $this->em->persist(
                new EarlierGroups(
                    Uuid::v7()->toRfc4122(),
                    $class,
                    mb_substr($use->name, 0, 80),
                    mb_substr($use->lesson, 0, 120),
                    $use->at,
                    $use->groups,
                    $use->roles,
                ),
            );
        }
        $this->em->flush();
    }
}
