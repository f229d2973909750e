<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Owned;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;

/**
 * What of this area belongs to a teacher.
 */
final readonly class ClassAccess
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @throws Problem 404
     */
    public function schoolClass(Teacher $teacher, string $id): SchoolClass
    {
        return Owned::one(SchoolClass::class, $this->em->createQueryBuilder()->select('c')->from(SchoolClass::class, 'c'), 'c', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function student(Teacher $teacher, string $id): Student
    {
        return Owned::one(Student::class, $this->em->createQueryBuilder()->select('s', 'c')->from(Student::class, 's')->join('s.class', 'c'), 's', $teacher, $id);
    }
}
