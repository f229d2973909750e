<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;
use FreshHuddle\Core\Rooms\NamePattern;

final class UnknownPlaceholder extends Refused
{
    public static function named(string $placeholder): self
    {
        return new self(new Message('rooms.unknown_placeholder', ['placeholder' => $placeholder, 'known' => array_map(static fn (string $one): string => '{'.$one.'}', NamePattern::PLACEHOLDERS)]));
    }
}
