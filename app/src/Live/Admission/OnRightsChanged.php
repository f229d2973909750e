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
 * Whatever takes somebody's right to be in a room has the guard look at once.
 */
final readonly class OnRightsChanged
{
    public function __construct(private EntityManagerInterface $em, private Tasks $tasks)
    {
    }

    #[AsEventListener]
    public function onLessonEnded(LessonEnded $event): void
    {
        $class = $this->em->find(Lesson::class, $event->lesson)?->class->id;
        if (null !== $class) {
            $this->tasks->schedule(RoomGuardTaskHandler::CHECK, $class);
        }
    }

    #[AsEventListener]
    public function onClassChanged(ClassChanged $event): void
    {
        $this->tasks->schedule(RoomGuardTaskHandler::CHECK, $event->classId);
    }

    #[AsEventListener]
    public function onFloorChanged(FloorChanged $event): void
    {
        $class = $this->em->find(Grouping::class, $event->groupingId)?->class;
        if (null !== $class?->currentLessonId) {
            $this->tasks->schedule(RoomGuardTaskHandler::CHECK, $class->id);
        }
    }

    /**
     * A name that nobody has any more: who had it is out, also of the room they belong in.
     */
    #[AsEventListener]
    public function onArrivals(Arrivals $event): void
    {
        if (null !== $event->left) {
            $this->tasks->schedule(RoomGuardTaskHandler::PUT_OUT, $event->left);
        }
    }
}
