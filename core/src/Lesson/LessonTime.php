<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * When a lesson is on: a sign of a student's device counts for the lesson only in this time, so that nobody has arrived
 * in next week's lesson, and nobody in this one by a page left open yesterday. All moments are milliseconds since 1970.
 */
final readonly class LessonTime
{
    /** Students come so long before a lesson begins. */
    public const EARLY = 30 * 60_000;
    /** A lesson that was never begun is waited for so long after its planned end. */
    private const WAITED_FOR = 60 * 60_000;

    /**
     * @param int|null $startsAt when it is planned for; null: it has no date
     * @param int      $minutes  how long it is planned to last
     * @param int|null $begunAt  when it was begun; null: not yet
     * @param int|null $endedAt  when it was over; null: not yet
     */
    public function __construct(
        public ?int $startsAt,
        public int $minutes,
        public ?int $begunAt,
        public ?int $endedAt,
    ) {
    }

    /**
     * Since when signs count.
     *
     * @return int|null null while none do: too early, or over
     */
    public function countsSince(int $now): ?int
    {
        $from = $this->begunAt ?? $this->startsAt;
        if (null === $from || null !== $this->endedAt) {
            return null;
        }
        if (null === $this->begunAt && $now > $from + 60_000 * $this->minutes + self::WAITED_FOR) {
            return null;
        }
        $since = min($from, $this->startsAt ?? $from) - self::EARLY;
        // Begun a day late, it counts from shortly before it was begun.
        if (null !== $this->begunAt) {
            $since = max($since, $this->begunAt - 60_000 * $this->minutes - self::EARLY);
        }

        return $now < $since ? null : $since;
    }

    /**
     * When it is to be over, counted from when it was really begun.
     *
     * @return int|null null before it has begun
     */
    public function plannedEnd(): ?int
    {
        return null === $this->begunAt ? null : $this->begunAt + 60_000 * $this->minutes;
    }
}
