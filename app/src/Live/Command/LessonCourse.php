<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Lesson\Event\LessonEnded;
use FreshHuddle\App\Lesson\Event\SegmentBegun;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Event;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * Where the class is in its lessons: the part it is in, and the lesson it has come into or left.
 */
final readonly class LessonCourse
{
    public function __construct(
        private Roster $roster,
        private Tasks $tasks,
        private Stream $stream,
        private RunningOrders $orders,
        private EventDispatcherInterface $dispatcher,
    ) {
    }

    public function goOn(Lesson $lesson, Event $event): void
    {
        $segment = $this->orders->find($lesson, $event->text('segment'))
            ?? throw LiveRefused::unusable('live.segment_gone', 'segment');
        $lesson->segment = $segment;
        $lesson->segmentSince = $event->at;
        $lesson->begunAt ??= $event->at;
        $this->makeCurrent($lesson);
        $this->dispatcher->dispatch(new SegmentBegun($segment->id));
    }

    /**
     * The class comes into this lesson, and has left the one before.
     */
    public function makeCurrent(Lesson $lesson): void
    {
        $before = $lesson->class->currentLessonId;
        if (null !== $before && $before !== $lesson->id) {
            $this->tasks->schedule(WatchTaskHandler::WATCH, $before);
            $this->stream->publish([Audience::staff($before)], new LessonHint());
        }
        $lesson->class->currentLessonId = $lesson->id;
    }

    public function end(Lesson $lesson, Event $event): void
    {
        $lesson->endedAt = $event->at;
        $this->roster->guestsLeave($lesson->class, $lesson->id);
        $this->dispatcher->dispatch(new LessonEnded($lesson->id));
    }

    public function reopen(Lesson $lesson): void
    {
        $lesson->endedAt = null;
        $this->roster->guestsComeBack($lesson->class, $lesson->id);
        $this->makeCurrent($lesson);
        $this->tasks->schedule(WatchTaskHandler::WATCH, $lesson->id);
        $this->tasks->schedule(WatchTaskHandler::ASK_SERVICE, $lesson->id);
    }
}
