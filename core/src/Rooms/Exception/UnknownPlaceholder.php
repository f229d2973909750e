<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms\Exception;

use FreshHuddle\Core\Rooms\NamePattern;

final class UnknownPlaceholder extends \InvalidArgumentException
{
    public static function named(string $placeholder): self
    {
        return new self(\sprintf('{%s} is not known; there are {%s}.', $placeholder, implode('}, {', NamePattern::PLACEHOLDERS)));
    }
}
