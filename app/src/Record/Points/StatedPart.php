<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Points;

use FreshHuddle\Core\Record\Points\PointsKind;

/**
 * A part of a stated rule.
 */
final readonly class StatedPart
{
    public function __construct(public PointsKind $kind, public int $atLeast, public int $points)
    {
    }
}
