<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Grouping\FloorView;
use FreshHuddle\App\Materials\CopySummary;
use FreshHuddle\App\Materials\OriginalView;
use FreshHuddle\App\Rooms\RoomView;

/**
 * A lesson as the teacher's screen needs it, at one moment.
 */
final readonly class LessonView
{
    /**
     * @param bool                $current   students of the class are taken to this lesson
     * @param int                 $serverNow milliseconds since 1970, for the clock on the page
     * @param string              $stream    where to listen for changes
     * @param list<SeatedStudent> $students  the class list
     * @param list<RoomView>      $rooms
     * @param list<CopySummary>   $copies
     * @param list<NoticeView>    $notices   newest first
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $minutes,
        public string $classId,
        public string $className,
        public string $classCode,
        public bool $current,
        public int $seq,
        public int $serverNow,
        public string $stream,
        public RoundView $round,
        public FloorView $floor,
        public array $students,
        public array $rooms,
        public ?OriginalView $original,
        public array $copies,
        public array $notices,
    ) {
    }
}
