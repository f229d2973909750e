<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonEnded;
use FreshHuddle\App\Lesson\Event\SegmentBegun;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Rooms\Event\RoomOpened;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A recording ends with the part of the lesson it was begun in, and where its class records nothing any more; and goes
 * on in a room that the media server has made anew.
 */
final readonly class OnCourse
{
    public function __construct(
        private EntityManagerInterface $em,
        private Recordings $recordings,
        private Tasks $tasks,
    ) {
    }

    #[AsEventListener]
    public function ofSegment(SegmentBegun $event): void
    {
        $this->end($this->em->find(Segment::class, $event->segment)?->lesson);
    }

    #[AsEventListener]
    public function ofEnd(LessonEnded $event): void
    {
        $this->end($this->em->find(Lesson::class, $event->lesson));
    }

    #[AsEventListener]
    public function ofRoom(RoomOpened $event): void
    {
        $recording = $this->recordings->running($event->room);
        if (null !== $recording) {
            $this->tasks->schedule(RecordingTaskHandler::RECORD, $recording->id);
        }
    }

    #[AsEventListener]
    public function ofRooms(RoomsChanged $event): void
    {
        // One room more or less changes nothing of what the class has said.
        $lesson =
            null === $event->groupId
                ? $this->em->find(SchoolClass::class, $event->classId)?->currentLessonId
                : null;
        if (null !== $lesson) {
            $this->recordings->endUnwanted($lesson);
        }
    }

    private function end(?Lesson $lesson): void
    {
        if (null !== $lesson) {
            $this->recordings->end($lesson);
        }
    }
}
