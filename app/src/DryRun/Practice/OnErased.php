<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use FreshHuddle\App\Roster\Event\ClassErased;
use FreshHuddle\App\Roster\Event\StudentErased;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Who is erased bears their name in no double of their class either: it goes, whoever practises in it.
 */
final readonly class OnErased
{
    public function __construct(private Practices $practices, private Tasks $tasks)
    {
    }

    #[AsEventListener(priority: 50)]
    public function ofClass(ClassErased $event): void
    {
        $this->erase($event->classId);
    }

    #[AsEventListener]
    public function ofStudent(StudentErased $event): void
    {
        $this->erase($event->classId);
    }

    private function erase(string $classId): void
    {
        foreach ($this->practices->doublesOf($classId) as $double) {
            $this->tasks->schedule(DoubleTaskHandler::ERASE, $double);
        }
    }
}
