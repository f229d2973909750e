<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

/**
 * Marks a whole number that is a moment: milliseconds since 1970, up to the year 2100. Other whole numbers have 32
 * bits.
 */
#[\Attribute(\Attribute::TARGET_PARAMETER | \Attribute::TARGET_PROPERTY)]
final readonly class Moment
{
    public const LAST = 4_102_444_800_000;
}
