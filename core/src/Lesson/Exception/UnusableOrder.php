<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * A running order no lesson can have; the position (from 0) says where, if it is at one place.
 */
final class UnusableOrder extends Refused
{
    private function __construct(Message $says, public readonly ?int $position = null)
    {
        parent::__construct($says);
    }

    public static function noRound(): self
    {
        return new self(new Message('lesson.order.no_round'));
    }

    public static function tooMany(int $limit): self
    {
        return new self(new Message('lesson.order.too_many', ['most' => $limit]));
    }

    public static function minutes(int $position, int $limit): self
    {
        return new self(
            new Message('lesson.order.minutes', ['segment' => $position + 1, 'most' => $limit]),
            $position,
        );
    }

    public static function twice(int $position): self
    {
        return new self(new Message('lesson.order.twice', ['segment' => $position + 1]), $position);
    }
}
