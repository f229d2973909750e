<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Exception;

final class CommandRefused extends \DomainException
{
    public static function outOfRange(string $what, int $least, int $most): self
    {
        return new self(\sprintf('%s: between %d and %d, please.', $what, $least, $most));
    }

    public static function nobodyIsOut(): self
    {
        return new self('Nobody has been sent out, so there is nobody to call back.');
    }

    public static function groupsAreOut(): self
    {
        return new self('Groups are at work. Call everybody back first, then go on.');
    }

    public static function alreadyReached(): self
    {
        return new self('Students are on their way already. Call them back instead.');
    }

    public static function tooLate(): self
    {
        return new self('Everybody has been called back already. Send them out again instead.');
    }

    public static function emptyNotice(): self
    {
        return new self('A notice needs some words.');
    }

    public static function longNotice(int $limit): self
    {
        return new self(\sprintf('A notice holds %d signs, so that it can be read at a glance.', $limit));
    }
}
