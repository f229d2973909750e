<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * A name for rooms has a placeholder that does not exist.
 */
final class UnknownPlaceholder extends Refused
{
    /**
     * @param list<string> $known
     */
    public static function named(string $placeholder, array $known): self
    {
        return new self(
            new Message('rooms.unknown_placeholder', [
                'placeholder' => $placeholder,
                'known' => array_map(static fn (string $placeholder): string => '{'.$placeholder.'}', $known),
            ]),
        );
    }
}
