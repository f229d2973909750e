<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * A part of an instance that can be away.
 */
#[AutoconfigureTag]
interface Part
{
    /** As metrics and the readiness address call it. */
    public function name(): string;

    /** Whether lessons cannot go on without it. */
    public function isNeeded(): bool;

    /** Within a few seconds. */
    public function isUp(): bool;
}
