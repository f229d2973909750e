<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Staff\Staff;

/**
 * What of this area is in a teacher's classes, and whether they may do there what they are about to.
 */
final readonly class ClassAccess
{
    public function __construct(private EntityManagerInterface $em, private Staff $staff)
    {
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function schoolClass(Teacher $teacher, string $id): SchoolClass
    {
        $found = $this->staff->find(
            SchoolClass::class,
            $this->em->createQueryBuilder()->select('c')->from(SchoolClass::class, 'c'),
            'c',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found);

        return $found;
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if somebody else owns it
     */
    public function own(Teacher $teacher, string $id): SchoolClass
    {
        $class = $this->schoolClass($teacher, $id);

        return $class->teacher === $teacher ? $class : throw RosterRefused::notAllowed('roster.not_owner');
    }

    /**
     * A class that was thrown away; only its owner could do that.
     *
     * @throws RosterRefused if there is none such of theirs
     */
    public function removed(Teacher $teacher, string $id): SchoolClass
    {
        $class = $this->em->getRepository(SchoolClass::class)->findOneBy(['id' => $id, 'teacher' => $teacher]);

        return null === $class?->removedAt ? throw RosterRefused::missing() : $class;
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function student(Teacher $teacher, string $id): Student
    {
        $found = $this->staff->find(
            Student::class,
            $this->em->createQueryBuilder()->select('s', 'c')->from(Student::class, 's')->join('s.class', 'c'),
            's',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->class);

        return $found;
    }
}
