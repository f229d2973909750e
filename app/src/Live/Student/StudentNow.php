<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\App\Grouping\SignUp\SignUpView;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Live\Moving\MyAside;
use FreshHuddle\App\Live\NoticeView;
use FreshHuddle\App\Live\Speech\MySpeaking;
use FreshHuddle\App\Roster\Device\Young;

/**
 * Everything a student's page shows, at one moment.
 */
final readonly class StudentNow
{
    /**
     * @param string|null      $lesson      its id; null while no lesson is on
     * @param int              $seq         the last event this answer knows of
     * @param int              $serverNow   milliseconds since 1970, for the clock on the page
     * @param MySegment|null   $segment     what the lesson is at; null before it has begun
     * @param string|null      $round the round the moments are of: the one it is in, or the last that was sent out
     * @param MyGroup|null     $group       null until groups are shown, and without a seat
     * @param MyRoom           $mainSession where everybody meets
     * @param string|null      $seenIn the place the meeting service sees the student in: `main`, a group's id, null:
     *     none
     * @param list<NoticeView> $notices     newest first
     * @param SignUpView|null  $signUp      seats to be taken, while that is open
     * @param bool             $over        the lesson has ended
     * @param MyAside|null     $aside       where the student is to be instead of with their group; null: with it
     * @param int|null         $fetchedAt when the teacher last called them to where they should be, in milliseconds
     *     since 1970
     * @param Young|null       $young       how they are told things, where the class cannot read yet
     * @param list<MyWork>     $alone what the student has to work on alone, so far as the lesson has come to it; the
     *     last first
     * @param string|null      $otherDevice who asks, at another device, to be this student
     * @param MySpeaking       $speaking    whether they may speak in the main session
     * @param bool             $takesIn     their page goes into rooms of our own by itself
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $className,
        public ?string $lesson,
        public ?string $lessonTitle,
        public int $seq,
        public int $serverNow,
        public ?MySegment $segment,
        public ?string $round,
        public ?Moments $moments,
        public ?MyGroup $group,
        public MyRoom $mainSession,
        public ?string $seenIn,
        public array $notices,
        public ?SignUpView $signUp,
        public bool $over,
        public ?MyAside $aside,
        public ?int $fetchedAt,
        public ?string $otherDevice,
        public array $alone,
        public ?Young $young,
        public MySpeaking $speaking,
        public bool $takesIn,
    ) {
    }
}
