<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * What was given as the link of a room cannot be one.
 */
final class UnusableLink extends Refused
{
    public static function unreadable(): self
    {
        return new self(new Message('rooms.link.unreadable'));
    }

    public static function tooLong(int $most): self
    {
        return new self(new Message('rooms.link.too_long', ['most' => $most]));
    }

    public static function scheme(string $scheme): self
    {
        return new self(new Message('rooms.link.scheme', ['scheme' => mb_substr($scheme, 0, 20)]));
    }

    public static function credentials(): self
    {
        return new self(new Message('rooms.link.credentials'));
    }

    public static function inside(string $host): self
    {
        return new self(new Message('rooms.link.inside', ['host' => mb_substr($host, 0, 60)]));
    }

    public static function number(string $host): self
    {
        return new self(new Message('rooms.link.number', ['host' => mb_substr($host, 0, 60)]));
    }

    public static function looksLikeAnother(string $host): self
    {
        return new self(new Message('rooms.link.looks_like_another', ['host' => mb_substr($host, 0, 60)]));
    }
}
