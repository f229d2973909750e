<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Calendar;

use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * A lesson in a calendar: one entry as long as the lesson, with its rooms in the text. Rooms are entries of their own,
 * each as long as its round, only where that is asked for.
 */
final class LessonEntries
{
    private const HOST = '@fresh-huddle';
    private const MINUTE = 60_000;
    private const ROOM = 'room-';

    /**
     * @param array{id: string, title: string, class: string, start: int, minutes: int,
     *   where: string, text: string} $lesson start in milliseconds since 1970
     * @param list<array{kind: SegmentKind, minutes: int, round: string|null,
     *   rooms: list<array{group: string, name: string, where: string}>}> $order its segments; rooms of a round
     *
     * @return list<Entry> the lesson first, then its rooms by time
     *
     * Complexity: O(segments · groups)
     */
    public static function forLesson(array $lesson, array $order, bool $withRooms = false): array
    {
        $entries = [
            new Entry(
                'lesson-'.$lesson['id'].self::HOST,
                $lesson['title'].' · '.$lesson['class'],
                $lesson['start'],
                $lesson['start'] + self::MINUTE * $lesson['minutes'],
                $lesson['where'],
                implode("\n\n", array_unique([$lesson['text'], ...self::roomsByRound($order)])),
            ),
        ];
        $at = $lesson['start'];
        foreach ($withRooms ? $order : [] as $segment) {
            $end = $at + self::MINUTE * $segment['minutes'];
            foreach (null === $segment['round'] ? [] : $segment['rooms'] as $room) {
                $entries[] = new Entry(
                    self::ROOM."{$segment['round']}-{$room['group']}".self::HOST,
                    $room['name'],
                    $at,
                    $end,
                    $room['where'],
                );
            }
            $at = $end;
        }

        return $entries;
    }

    /**
     * Whether an entry with this UID is a room, and not a lesson.
     */
    public static function isRoom(string $uid): bool
    {
        return str_starts_with($uid, self::ROOM);
    }

    /**
     * @param list<array{kind: SegmentKind, minutes: int, round: string|null, rooms: list<array{group: string,
     *   name: string, where: string}>}> $order
     *
     * @return list<string> a text for each round that has rooms: one line per room, its name and the way in
     */
    private static function roomsByRound(array $order): array
    {
        $texts = [];
        foreach ($order as $segment) {
            $lines = [];
            foreach (null === $segment['round'] ? [] : $segment['rooms'] as $room) {
                if ('' !== $room['where']) {
                    $lines[] = $room['where'] === $room['name'] ? $room['name'] : "{$room['name']}: {$room['where']}";
                }
            }
            if ([] !== $lines) {
                $texts[] = implode("\n", $lines);
            }
        }

        return $texts;
    }
}
