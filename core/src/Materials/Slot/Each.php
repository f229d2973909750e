<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\BlockSettings;

/**
 * One answer each: a text for every member.
 */
final readonly class Each extends Written
{
    public function isAlone(BlockSettings $settings): bool
    {
        return true;
    }
}
