<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * The rules are so many and so tight that neither an arrangement nor a contradiction was found.
 */
final class NoWayFound extends Refused
{
    public static function toKeepAllRules(): self
    {
        return new self(new Message('grouping.no_way_found'));
    }
}
