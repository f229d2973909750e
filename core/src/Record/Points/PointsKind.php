<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Points;

/**
 * What a student can have points for.
 */
enum PointsKind: string
{
    /** In place for at least so many per cent of the time they were to be in a group. */
    case InPlace = 'inPlace';
    /** Put at least so many words and items into their work. */
    case Wrote = 'wrote';
    /** Answered at least so many exit questions. */
    case Answered = 'answered';
    /** Was called on at least so often, and did not pass. */
    case CalledOn = 'calledOn';

    /**
     * @return int the most that can be asked for
     */
    public function most(): int
    {
        return match ($this) {
            self::InPlace => 100,
            self::Wrote => 100_000,
            self::Answered, self::CalledOn => 100,
        };
    }
}
