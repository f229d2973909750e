<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * The set moment of a round at which a prepared notice is said.
 */
final readonly class NoticeTime
{
    /**
     * @param bool $beforeEnd counted back from the agreed end; or else on from when groups went out
     * @param int  $seconds   from 0
     */
    public function __construct(public bool $beforeEnd, public int $seconds)
    {
    }

    /**
     * @return int|null when it is due as things stand, in milliseconds since 1970; null: not while nobody is out, a
     *                  call back
     *                  runs, or the clock that it is counted by stands still. It follows an end that is moved
     */
    public function due(RoundState $state): ?int
    {
        if (null === $state->outAt || null !== $state->calledAt || null !== $state->pausedAt) {
            return null;
        }
        if (!$this->beforeEnd) {
            return $state->outAt + 1_000 * $this->seconds;
        }

        // Of a round shorter than that it is said at once, not before it.
        return null === $state->endsAt ? null : max($state->outAt, $state->endsAt - 1_000 * $this->seconds);
    }
}
