<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Correction;

use FreshHuddle\Core\Record\StudentFigures;

/**
 * A figure of a student that can be corrected by hand.
 */
enum Figure: string
{
    case InPlace = 'inPlaceMs';
    case Elsewhere = 'elsewhereMs';
    case Away = 'awayMs';
    case Put = 'put';
    case Slots = 'slots';
    case Calls = 'calls';
    case CalledOn = 'calledOn';
    case ExitAnswered = 'exitAnswered';

    /** A day in milliseconds. */
    private const DAY = 86_400_000;

    /**
     * @return int what was worked out from the facts
     */
    public function computed(StudentFigures $figures): int
    {
        return match ($this) {
            self::InPlace => $figures->inPlaceMs,
            self::Elsewhere => $figures->elsewhereMs,
            self::Away => $figures->awayMs,
            self::Put => $figures->put,
            self::Slots => $figures->slots,
            self::Calls => $figures->calls,
            self::CalledOn => $figures->calledOn,
            self::ExitAnswered => $figures->exitAnswered,
        };
    }

    /**
     * @return bool whether it is a length of time, in milliseconds
     */
    public function isTime(): bool
    {
        return \in_array($this, [self::InPlace, self::Elsewhere, self::Away], true);
    }

    /**
     * @return int the largest value it can be corrected to
     */
    public function most(): int
    {
        return match ($this) {
            self::InPlace, self::Elsewhere, self::Away => self::DAY,
            self::Put => 100_000,
            self::Slots, self::Calls, self::CalledOn, self::ExitAnswered => 1_000,
        };
    }
}
