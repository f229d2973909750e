<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Keeps something only for a time, and lets go of what is past it when told (PurgeTaskHandler, every hour).
 */
#[AutoconfigureTag]
interface PurgesExpired
{
    public function forgetOld(): void;
}
