<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Materials\Margin\MarginNote;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Staff\Staff;

/**
 * Which copies are of a teacher's classes, and whether they may do there what they are about to.
 */
final readonly class CopyAccess
{
    public function __construct(private EntityManagerInterface $em, private Staff $staff)
    {
    }

    /**
     * @throws RosterRefused if it is not of a class of theirs, or if they only assist there
     */
    public function copy(Teacher $teacher, string $id): WorkCopy
    {
        $query = $this->em
            ->createQueryBuilder()
            ->select('w', 'r', 'l', 'c')
            ->from(WorkCopy::class, 'w')
            ->join('w.round', 'r')
            ->join('r.lesson', 'l')
            ->join('l.class', 'c')
            ->where('l.removedAt IS NULL');
        $found = $this->staff->find(WorkCopy::class, $query, 'w', $teacher, $id);
        $this->staff->may($teacher, $found->round->lesson->class);

        return $found;
    }

    /**
     * @throws RosterRefused if it stands in no copy of a class of theirs
     */
    public function note(Teacher $teacher, string $id): MarginNote
    {
        $query = $this->em
            ->createQueryBuilder()
            ->select('n', 'w', 'r', 'l', 'c')
            ->from(MarginNote::class, 'n')
            ->join('n.copy', 'w')
            ->join('w.round', 'r')
            ->join('r.lesson', 'l')
            ->join('l.class', 'c')
            ->where('l.removedAt IS NULL');
        $found = $this->staff->find(MarginNote::class, $query, 'n', $teacher, $id);
        $this->staff->may($teacher, $found->copy->round->lesson->class);

        return $found;
    }
}
