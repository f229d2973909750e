<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Presence\FinalWhereabouts;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\End;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Ends a lesson and opens it again; where everybody was at the end is noted.
 */
final readonly class LessonEnd
{
    public function __construct(
        private NowReader $now,
        private EventStore $events,
        private FinalWhereabouts $finalWhereabouts,
        private Keeper $keeper,
        private Clock $clock,
    ) {
    }

    /**
     * @return list<Told>
     *
     * @throws CommandRefused
     */
    public function end(Lesson $lesson, Round $now, Command $command, Actor $actor): array
    {
        $events = $command->decide($now->state()->state(), $this->clock->ms());
        $current = [] === $events ? null : $this->now->forLesson($lesson->id);
        if (null !== $current && null === $current->endedAt) {
            $this->events->append($lesson->id, $now->id, Actor::clock(), $this->finalWhereabouts->signs($current));
        }

        return $this->keeper->keep($now, $events, $actor);
    }
}
