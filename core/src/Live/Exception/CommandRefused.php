<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * The command makes no sense as things stand.
 */
final class CommandRefused extends Refused
{
    public static function secondsToLook(int $most): self
    {
        return new self(new Message('live.seconds_to_look', ['most' => $most]));
    }

    public static function secondsToComeBack(int $most): self
    {
        return new self(new Message('live.seconds_to_come_back', ['most' => $most]));
    }

    public static function minutes(int $most, int $least = 1): self
    {
        return new self(new Message('live.minutes', ['least' => $least, 'most' => $most]));
    }

    public static function nobodyIsOut(): self
    {
        return new self(new Message('live.nobody_is_out'));
    }

    public static function groupsAreOut(): self
    {
        return new self(new Message('live.groups_are_out'));
    }

    public static function alreadyReached(): self
    {
        return new self(new Message('live.already_reached'));
    }

    public static function tooLate(): self
    {
        return new self(new Message('live.too_late'));
    }

    public static function emptyNotice(): self
    {
        return new self(new Message('live.empty_notice'));
    }

    public static function longNotice(int $limit): self
    {
        return new self(new Message('live.long_notice', ['most' => $limit]));
    }
}
