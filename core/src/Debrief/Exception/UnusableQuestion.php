<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * Nobody could answer this question.
 */
final class UnusableQuestion extends Refused
{
    public static function empty(): self
    {
        return new self(new Message('debrief.question.empty'));
    }

    public static function long(int $most): self
    {
        return new self(new Message('debrief.question.long', ['most' => $most]));
    }

    public static function choices(int $most): self
    {
        return new self(new Message('debrief.question.choices', ['most' => $most]));
    }

    public static function longChoice(int $most): self
    {
        return new self(new Message('debrief.question.long_choice', ['most' => $most]));
    }
}
