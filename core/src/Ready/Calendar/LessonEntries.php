<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Calendar;

use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * What of a lesson stands in a calendar: the main session as long as the lesson, and each room as long as its round.
 */
final class LessonEntries
{
    private const HOST = '@fresh-huddle';
    private const MINUTE = 60_000;

    /**
     * @param array{id: string, title: string, class: string, start: int, minutes: int, where: string, text: string}                           $lesson start in milliseconds since 1970
     * @param list<array{kind: SegmentKind, minutes: int, round: string|null, rooms: list<array{group: string, name: string, where: string}>}> $order  its segments; rooms of a round
     *
     * @return list<Entry> the main session first, then by time
     *
     * Complexity: O(segments · groups)
     */
    public static function of(array $lesson, array $order): array
    {
        $entries = [new Entry('lesson-'.$lesson['id'].self::HOST, $lesson['title'].' · '.$lesson['class'], $lesson['start'], $lesson['start'] + self::MINUTE * $lesson['minutes'], $lesson['where'], $lesson['text'])];
        $at = $lesson['start'];
        foreach ($order as $segment) {
            $end = $at + self::MINUTE * $segment['minutes'];
            foreach (null === $segment['round'] ? [] : $segment['rooms'] as $room) {
                $entries[] = new Entry("room-{$segment['round']}-{$room['group']}".self::HOST, $room['name'], $at, $end, $room['where']);
            }
            $at = $end;
        }

        return $entries;
    }
}
