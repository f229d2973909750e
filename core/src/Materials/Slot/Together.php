<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\BlockSettings;

/**
 * One answer together: a text all write in at once.
 */
final readonly class Together extends Written
{
    public function isAlone(BlockSettings $settings): bool
    {
        return false;
    }
}
