<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

/**
 * Names of channels. What goes on a student's own channel nobody else can hear; `everybody` is heard by all students of a
 * lesson, so nothing of one group belongs there.
 */
final class Channel
{
    public static function staff(string $lessonId): string
    {
        return 'staff.'.$lessonId;
    }

    public static function everybody(string $lessonId): string
    {
        return 'lesson.'.$lessonId;
    }

    /**
     * A grouping's desk: its floor changed, a seat was taken.
     */
    public static function desk(string $groupingId): string
    {
        return 'desk.'.$groupingId;
    }

    public static function student(string $studentId): string
    {
        return 'student.'.$studentId;
    }
}
