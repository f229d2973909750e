<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * Nobody has said yet where this room is; or what was said leads to another one.
 */
final class NoLinkYet extends Refused
{
    public static function said(): self
    {
        return new self(new Message('rooms.no_link'));
    }

    public static function because(Message $why): self
    {
        return new self($why);
    }
}
