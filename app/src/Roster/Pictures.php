<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Event\ClassChanged;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Gives everybody on the list of a class that cannot read yet a picture of their own, and leaves it theirs.
 */
#[AsEventListener]
final readonly class Pictures
{
    public function __construct(private EntityManagerInterface $em, private Transaction $transaction)
    {
    }

    public function __invoke(ClassChanged $event): void
    {
        $class = $this->em->find(SchoolClass::class, $event->classId);
        if (true === $class?->cannotReadYet) {
            $this->give($class);
        }
    }

    public function give(SchoolClass $class): void
    {
        $this->transaction->run(function () use ($class): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $students = $this->em
                ->getRepository(Student::class)
                ->findBy(['class' => $class, 'removedAt' => null], ['position' => 'ASC', 'id' => 'ASC']);
            $taken = $without = [];
            foreach ($students as $student) {
                if (null === $student->picture || isset($taken[$student->picture])) {
                    $without[] = $student;
                } else {
                    $taken[$student->picture] = true;
                }
            }
            $next = 0;
            foreach ($without as $student) {
                while (isset($taken[$next])) {
                    ++$next;
                }
                $student->picture = $next;
                $taken[$next] = true;
            }
        });
    }
}
