<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Owned;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;

/**
 * What of this area belongs to a teacher.
 */
final readonly class GroupingAccess
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @throws Problem 404
     */
    public function grouping(Teacher $teacher, string $id): Grouping
    {
        return Owned::one(Grouping::class, $this->em->createQueryBuilder()->select('g', 'c')->from(Grouping::class, 'g')->join('g.class', 'c'), 'g', $teacher, $id);
    }
}
