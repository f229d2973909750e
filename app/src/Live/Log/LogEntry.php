<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Log;

use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\ChalkMark;

/**
 * One line of a lesson's log: who did what, to whom.
 */
final readonly class LogEntry
{
    /**
     * @param int              $at       milliseconds since 1970
     * @param string           $who      whose doing it was; '' where it came by itself
     * @param string|null      $group    name of the group it is about
     * @param string|null      $from     name of the group somebody came from
     * @param list<string>     $groups   names of the groups it went to
     * @param list<string>     $students names of the students it went to, where it went to no group
     * @param string|null      $student  name of the student it is about
     * @param string|null      $place    `main`, or name of the side room
     * @param SegmentKind|null $segment  what was begun
     * @param int|null         $until    the moment that was agreed; milliseconds since 1970
     */
    public function __construct(
        public int $seq,
        public int $at,
        public EventKind $kind,
        public string $who,
        public ?string $group,
        public ?string $from,
        public array $groups,
        public array $students,
        public ?string $student,
        public ?string $place,
        public ?string $text,
        public ?SegmentKind $segment,
        public ?CallAbout $about,
        public ?ChalkMark $mark,
        public ?Help $help,
        public ?int $until,
    ) {
    }
}
