<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * A class would have more students than it can.
 */
final class TooManyStudents extends Refused
{
    public static function inOneClass(int $wanted, int $limit): self
    {
        return new self(new Message('roster.too_many_students', ['wanted' => $wanted, 'most' => $limit]));
    }
}
