<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\HandOutCell;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\Staff;

/**
 * Whose an original is: the teacher's in whose cupboard it lies, and where it is handed out also those who teach with
 * them.
 */
final readonly class OriginalAccess
{
    public function __construct(private EntityManagerInterface $em, private Staff $staff)
    {
    }

    /**
     * @throws MaterialsRefused                                if it is not theirs
     * @throws \FreshHuddle\App\Roster\Exception\RosterRefused if they only assist where it is used
     */
    public function original(Teacher $teacher, string $id): StoredOriginal
    {
        $original = $this->em->find(StoredOriginal::class, $id) ?? throw MaterialsRefused::missing();
        if ($original->teacher->id === $teacher->id) {
            return $original;
        }
        /** @var list<SchoolClass> $classes */
        $classes = $this->em
            ->createQuery(
                'SELECT DISTINCT c FROM '.
                    SchoolClass::class.
                    ' c, '.
                    HandOutCell::class.
                    ' h JOIN h.round r JOIN r.lesson l WHERE l.class = c AND h.original = ?1 AND l.removedAt IS NULL',
            )
            ->setParameter(1, $original->id)
            ->getResult();
        foreach ($classes as $class) {
            if (null !== $this->staff->role($teacher, $class)) {
                $this->staff->may($teacher, $class);

                return $original;
            }
        }
        throw MaterialsRefused::missing();
    }

    /**
     * @throws MaterialsRefused if it does not lie in their own cupboard
     */
    public function own(Teacher $teacher, string $id): StoredOriginal
    {
        $original = $this->em->find(StoredOriginal::class, $id);

        return $original?->teacher === $teacher ? $original : throw MaterialsRefused::missing();
    }
}
