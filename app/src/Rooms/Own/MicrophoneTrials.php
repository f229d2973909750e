<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Rooms\MicrophoneOutcome;

/**
 * What students' devices have said of their microphones.
 */
final readonly class MicrophoneTrials
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private Clock $clock,
    ) {
    }

    public function note(string $studentId, MicrophoneOutcome $outcome): void
    {
        $this->transaction->run(function () use ($studentId, $outcome): void {
            // Two pages of one student say it one after the other.
            $student = $this->em->find(Student::class, $studentId, LockMode::PESSIMISTIC_WRITE);
            if (null === $student) {
                return;
            }
            $trial = $this->em->find(MicrophoneTrial::class, $studentId);
            if (null === $trial) {
                $this->em->persist(new MicrophoneTrial($student, $outcome, $this->clock->ms()));
            } else {
                [$trial->outcome, $trial->at] = [$outcome, $this->clock->ms()];
            }
        });
    }

    /**
     * @return array<string, MicrophoneOutcome> by student
     */
    public function ofClass(SchoolClass $class): array
    {
        $trials = $this->em
            ->createQuery('SELECT t FROM '.MicrophoneTrial::class.' t JOIN t.student s WHERE s.class = :class')
            ->setParameter('class', $class)
            ->getResult();
        $outcomes = [];
        foreach (\is_array($trials) ? $trials : [] as $trial) {
            if ($trial instanceof MicrophoneTrial) {
                $outcomes[$trial->student->id] = $trial->outcome;
            }
        }

        return $outcomes;
    }
}
