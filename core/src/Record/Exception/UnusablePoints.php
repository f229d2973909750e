<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * No points can be given by this rule.
 */
final class UnusablePoints extends Refused
{
    private function __construct(Message $says, public readonly string $field)
    {
        parent::__construct($says);
    }

    public static function atLeast(int $most): self
    {
        return new self(new Message('record.points.at_least', ['most' => $most]), 'atLeast');
    }

    public static function points(int $most): self
    {
        return new self(new Message('record.points.points', ['most' => $most]), 'points');
    }

    public static function parts(int $most): self
    {
        return new self(new Message('record.points.parts', ['most' => $most]), 'parts');
    }
}
