<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Lesson\RoundState;

/**
 * When a copy is open to the students whose it is. Work of groups opens with its round. Work that everybody does alone
 * opens when the lesson comes to its own segment, and not before. When the lesson is over both stay open, or can only
 * be read. Work done alone can be closed at a moment of its own: an exit ticket waits for the student until then, also
 * when the lesson is over.
 */
final readonly class CopyTime
{
    /** What was typed without a line before the lesson was over still arrives so long after it. Milliseconds. */
    public const LATE = 120_000;

    /**
     * @param bool     $alone    it is work for a segment in which everybody works alone
     * @param int|null $opensAt  the position of that segment; null: it is not in the running order
     * @param int|null $lessonAt the position of the segment the lesson is in; null before it has begun
     * @param int|null $endedAt  when the lesson was over, in milliseconds since 1970
     * @param bool     $locks    nothing is written in it any more after that
     * @param int|null $closesAt when work that everybody does alone is closed, whatever the lesson is at; null: as the
     *                           lesson's other work; milliseconds since 1970
     */
    public function __construct(
        public RoundState $round,
        public bool $alone = false,
        public ?int $opensAt = null,
        public ?int $lessonAt = null,
        public ?int $endedAt = null,
        public bool $locks = false,
        public ?int $closesAt = null,
    ) {
    }

    /**
     * @param int $now milliseconds since 1970
     */
    public function stateAt(int $now): CopyOpen
    {
        $isOpen = $this->alone
            ? self::hasCome($this->opensAt, $this->lessonAt)
            : $this->round->phase($now)->showsGroups();

        return match (true) {
            !$isOpen => CopyOpen::Closed,
            $this->isLocked($now) => CopyOpen::Read,
            default => CopyOpen::Write,
        };
    }

    /**
     * Whether a save is still taken.
     *
     * @param int $now milliseconds since 1970
     */
    public function takes(int $now): bool
    {
        return CopyOpen::Write === $this->stateAt($now)
            || (CopyOpen::Read === $this->stateAt($now) && $now < ($this->lockedAt() ?? 0) + self::LATE);
    }

    /**
     * Whether members may bring back what stood there before: while they are at work.
     *
     * @param int $now milliseconds since 1970
     */
    public function isAtWork(int $now): bool
    {
        return CopyOpen::Write === $this->stateAt($now)
            && ($this->alone
                ? null === $this->endedAt || null !== $this->closesAt
                : $this->round->phase($now)->isOut());
    }

    /**
     * Whether a lesson has come to a segment.
     *
     * @param int|null $opensAt  the segment's position; null: it is not in the running order
     * @param int|null $lessonAt the position of the segment the lesson is in; null before it has begun
     */
    public static function hasCome(?int $opensAt, ?int $lessonAt): bool
    {
        return null !== $opensAt && null !== $lessonAt && $lessonAt >= $opensAt;
    }

    private function isLocked(int $now): bool
    {
        $lockedAt = $this->lockedAt();

        return null !== $lockedAt && $now >= $lockedAt;
    }

    /**
     * @return int|null from when on it can only be read; null: it is not said
     */
    private function lockedAt(): ?int
    {
        return match (true) {
            $this->alone && null !== $this->closesAt => $this->closesAt,
            $this->locks => $this->endedAt,
            default => null,
        };
    }
}
