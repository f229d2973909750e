<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\Event\ClassErased;
use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Recordings go with their class. Of a student who is erased, one voice cannot be taken out of what all have said: the
 * recordings of that class go.
 */
final readonly class OnErased
{
    public function __construct(private EntityManagerInterface $em, private Recordings $recordings)
    {
    }

    #[AsEventListener(priority: 40)]
    public function ofClass(ClassErased $event): void
    {
        $this->forget($event->classId);
    }

    #[AsEventListener]
    public function ofStudent(StudentErased $event): void
    {
        $this->forget($event->classId);
    }

    private function forget(string $classId): void
    {
        $all = $this->em
            ->createQuery('SELECT r FROM '.Recording::class.' r JOIN r.lesson l WHERE l.class = ?1')
            ->setParameter(1, $classId)
            ->getResult();
        foreach (\is_array($all) ? $all : [] as $recording) {
            if ($recording instanceof Recording) {
                $this->recordings->remove($recording);
            }
        }
    }
}
