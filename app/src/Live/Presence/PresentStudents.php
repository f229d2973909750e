<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Proposal\WhoIsHere;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * Who has come, by the signs of the lesson that uses the groups.
 */
final readonly class PresentStudents implements WhoIsHere
{
    public function __construct(
        private LessonRepository $lessons,
        private NowReader $now,
        private WhereaboutsReader $whereabouts,
        private Clock $clock,
    ) {
    }

    public function in(string $groupingId): ?array
    {
        foreach ($this->lessons->roundsIn($groupingId) as $round) {
            $lesson = $this->now->forLesson($round->lesson->id);
            if (null === $lesson || !$lesson->current) {
                continue;
            }
            $present = array_filter(
                $this->whereabouts->inLesson($lesson, $this->clock->ms()),
                static fn (Whereabouts $where): bool => $where->place->isSeen(),
            );

            return [] === $present ? null : array_map(strval(...), array_keys($present));
        }

        return null;
    }
}
