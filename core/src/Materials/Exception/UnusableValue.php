<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * What came in is nothing a slot of this kind can hold.
 */
final class UnusableValue extends Refused
{
    public static function wrong(): self
    {
        return new self(new Message('materials.value.wrong'));
    }

    public static function tooLong(): self
    {
        return new self(new Message('materials.slot_full'));
    }
}
