<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

/**
 * Where a student is, compared with where they should be.
 */
enum Place: string
{
    case InPlace = 'inPlace';
    case OnTheWay = 'onTheWay';
    case Elsewhere = 'elsewhere';
    case LeftBehind = 'leftBehind';
    case Lost = 'lost';
    case Excused = 'excused';

    /**
     * @return bool whether something of the student was seen, wherever that was
     */
    public function isSeen(): bool
    {
        return self::Lost !== $this && self::Excused !== $this;
    }
}
