<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Debrief\TellTaskHandler;
use FreshHuddle\App\Materials\Event\AnswerChanged;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * What is shown follows what is written, a few times a second at most.
 */
#[AsEventListener]
final readonly class OnAnswerChanged
{
    /** Milliseconds. */
    private const TOGETHER = 400;

    public function __construct(private FollowingReader $following, private Tasks $tasks, private Clock $clock)
    {
    }

    public function __invoke(AnswerChanged $event): void
    {
        foreach ($this->following->lessons($event->copy, $event->slot, $event->owner) as $lesson) {
            $this->tasks->scheduleOnce(TellTaskHandler::SHOWN, $lesson, $this->clock->ms() + self::TOGETHER);
        }
    }
}
