<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * How a lesson ends: where everybody is then is noted, so that it can be shown afterwards as it was, and never by what
 * students do later. Who was there, `EventStore::present` reads from the
 * signs of the whole lesson.
 */
final readonly class FinalWhereabouts
{
    public function __construct(private WhereaboutsReader $whereabouts, private Clock $clock)
    {
    }

    /**
     * @return list<Event> a last sign of each student, to be kept before the end
     */
    public function signs(LessonNow $lesson): array
    {
        $now = $this->clock->ms();
        $events = [];
        foreach ($this->whereabouts->inLesson($lesson, $now) as $student => $where) {
            $events[] = self::whereaboutsEvent($student, $where, $now);
        }

        return $events;
    }

    /**
     * @param int $now milliseconds since 1970
     */
    public static function whereaboutsEvent(string $student, Whereabouts $where, int $now): Event
    {
        return new Event(EventKind::WhereaboutsChanged, $now, [
            'student' => $student,
            'place' => $where->place->value,
            'because' => $where->because->value,
            'at' => $where->at,
        ]);
    }
}
