<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * No addresses of rooms can be made by this pattern.
 */
final class UnusablePattern extends Refused
{
    public static function allTheSame(): self
    {
        return new self(new Message('rooms.pattern.all_the_same'));
    }

    public static function hostIsNamed(): self
    {
        return new self(new Message('rooms.pattern.host'));
    }
}
