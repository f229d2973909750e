<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * How a lesson ends: where everybody is then is noted, so that it can be shown afterwards as it was, and never by what
 * students do later. Who was there is read from the signs of the whole lesson.
 */
final readonly class Ending
{
    public function __construct(
        private Connection $db,
        private FloorStore $floors,
        private ClassReader $classes,
        private WhereaboutsReader $whereabouts,
        private Clock $clock,
    ) {
    }

    /**
     * @return list<Event> a last sign of each student, to be kept before the end
     */
    public function signs(LessonNow $lesson): array
    {
        $now = $this->clock->ms();
        $floor = null === $lesson->groupingId ? new Floor() : $this->floors->now($lesson->groupingId);
        $where = $this->whereabouts->of($lesson->classId, $this->classes->students($lesson->classId), $floor, $lesson->moments ?? Moments::read([]), $now);
        $events = [];
        foreach ($where as $student => $one) {
            $events[] = self::sign($student, $one, $now);
        }

        return $events;
    }

    /**
     * @param int $now milliseconds since 1970
     */
    public static function sign(string $student, Whereabouts $where, int $now): Event
    {
        return new Event(EventKind::WhereaboutsChanged, $now, [
            'student' => $student, 'place' => $where->place->value, 'because' => $where->because->value, 'at' => $where->at,
        ]);
    }

    /**
     * @return array<string, true> who was there, at any time of the lesson
     */
    public function present(string $lessonId): array
    {
        /** @var list<string> $ids */
        $ids = $this->db->fetchFirstColumn(
            "SELECT DISTINCT data ->> 'student' FROM live_event WHERE lesson_id = ? AND kind = ? AND data ->> 'place' NOT IN (?, ?)",
            [$lessonId, EventKind::WhereaboutsChanged->value, Place::Lost->value, Place::Excused->value],
        );

        return array_fill_keys($ids, true);
    }
}
