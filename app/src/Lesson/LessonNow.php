<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\Core\Lesson\LessonTime;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * Where a lesson is, as its students are concerned.
 */
final readonly class LessonNow
{
    /**
     * @param SegmentKind|null $kind         of the segment it is in; null before it has begun
     * @param int|null         $since        since when it is in it; milliseconds since 1970
     * @param string|null      $roundId the round it is in, or else the last one that was sent out; before it has begun
     *     the first
     * @param string|null      $groupingId   of that round
     * @param Moments|null     $moments      of that round
     * @param string           $instructions of the segment it is in; before it has begun those of the round
     * @param bool             $current      students of the class are taken to it
     * @param int|null         $endedAt      when it was over; milliseconds since 1970
     * @param int|null         $watchedAt    when staff last looked at it; milliseconds since 1970
     * @param LessonTime       $time         when it is on
     * @param int|null         $position     of the segment it is in, from 0; null before it has begun
     * @param bool             $isPractice   its students are simulated
     * @param string|null      $runId the last run of the round that was not taken back; null: it was never sent out
     */
    public function __construct(
        public string $lessonId,
        public string $classId,
        public string $title,
        public ?SegmentKind $kind,
        public ?int $since,
        public int $minutes,
        public string $instructions,
        public ?string $roundId,
        public ?string $groupingId,
        public ?Moments $moments,
        public bool $current,
        public ?int $endedAt,
        public ?int $watchedAt,
        public LessonTime $time,
        public ?string $runId,
        public ?int $position = null,
        public bool $isPractice = false,
    ) {
    }

    /**
     * Since when signs of its students count for it; null while none do, or while the class is in another lesson.
     *
     * @param int $now milliseconds since 1970
     */
    public function countsSince(int $now): ?int
    {
        return $this->current ? $this->time->countsSince($now) : null;
    }

    public function phase(int $now): Phase
    {
        return $this->moments?->phase($now) ?? Phase::Planned;
    }
}
