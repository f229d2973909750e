<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Staff\Staff;

/**
 * What of this area is in a teacher's classes, and whether they may do there what they are about to.
 */
final readonly class GroupingAccess
{
    public function __construct(private EntityManagerInterface $em, private Staff $staff)
    {
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function grouping(Teacher $teacher, string $id): Grouping
    {
        $found = $this->staff->find(
            Grouping::class,
            $this->em->createQueryBuilder()->select('g', 'c')->from(Grouping::class, 'g')->join('g.class', 'c'),
            'g',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->class);

        return $found;
    }
}
