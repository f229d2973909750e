<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Roster\Device\StudentDevices;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use Symfony\Component\Clock\ClockInterface;

/**
 * Passes: each student's own link into the class, as it stands on their slip.
 */
final readonly class Passes
{
    private const WHAT = 'pass';

    public function __construct(
        private SignedAddress $address,
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private StudentDevices $devices,
        private Transaction $transaction,
    ) {
    }

    public function forStudent(Student $student): string
    {
        return $this->address->create(self::WHAT, $student->id, $student->passNumber);
    }

    /**
     * @return Student|null whose pass it is; null where it opens nothing, or no longer
     */
    public function holder(string $pass): ?Student
    {
        $id = SignedAddress::id($pass);
        $student = null === $id ? null : $this->em->find(Student::class, $id);
        $isIn =
            null !== $student
            && null === $student->removedAt
            && null === $student->class->removedAt
            && null === $student->class->archivedAt
            && !$student->class->isPractice;

        return $isIn && $this->address->opens(self::WHAT, $student->id, $student->passNumber, $pass)
            ? $student
            : null;
    }

    /**
     * @return list<string> ids of the students of a class who have come in by their pass
     */
    public function usedIn(string $classId): array
    {
        $ids = $this->em
            ->createQuery('SELECT s.id FROM '.Student::class.' s WHERE s.class = ?1 AND s.passUsedAt IS NOT NULL')
            ->setParameter(1, $classId)
            ->getSingleColumnResult();

        return array_values(array_filter($ids, \is_string(...)));
    }

    public function used(Student $student): void
    {
        $student->passUsedAt = $this->clock->now();
        $this->em->flush();
    }

    /**
     * New passes for all: those given out before open nothing any more. Whoever is in stays in.
     */
    public function renew(SchoolClass $class): void
    {
        $this->em
            ->createQuery(
                'UPDATE '.
                    Student::class.
                    ' s SET s.passNumber = s.passNumber + 1, s.passUsedAt = NULL WHERE s.class = ?1',
            )
            ->setParameter(1, $class->id)
            ->execute();
    }

    /**
     * A new pass for one student: whoever has come in by the old one is out, of rooms as well.
     */
    public function renewOne(Student $student): void
    {
        $this->transaction->run(function () use ($student): void {
            $wasUsed = null !== $student->passUsedAt;
            ++$student->passNumber;
            $student->passUsedAt = null;
            $this->em->flush();
            if ($wasUsed) {
                $this->devices->free($student);
            }
        });
    }
}
