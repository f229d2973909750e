<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Event\LessonEnded;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Event\Arrivals;
use FreshHuddle\App\Roster\Event\ClassChanged;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Has rooms of our own checked whenever somebody may have lost the right to be in one.
 */
final readonly class OnRightsChanged
{
    public function __construct(private EntityManagerInterface $em, private Tasks $tasks, private RoomGuard $guard)
    {
    }

    #[AsEventListener]
    public function onLessonEnded(LessonEnded $event): void
    {
        $class = $this->em->find(Lesson::class, $event->lesson)?->class->id;
        if (null !== $class) {
            $this->check($class);
        }
    }

    #[AsEventListener]
    public function onClassChanged(ClassChanged $event): void
    {
        $this->check($event->classId);
    }

    #[AsEventListener]
    public function onFloorChanged(FloorChanged $event): void
    {
        $class = $this->em->find(Grouping::class, $event->groupingId)?->class;
        if (null !== $class?->currentLessonId) {
            $this->check($class->id);
        }
    }

    /**
     * A name that was freed: whoever had it leaves the room they belong in, too.
     */
    #[AsEventListener]
    public function onArrivals(Arrivals $event): void
    {
        if (null !== $event->left && $this->guard->hasRooms($event->classId)) {
            $this->tasks->schedule(RoomGuardTaskHandler::REMOVE, $event->left);
        }
    }

    private function check(string $classId): void
    {
        if ($this->guard->hasRooms($classId)) {
            $this->tasks->schedule(RoomGuardTaskHandler::CHECK, $classId);
        }
    }
}
