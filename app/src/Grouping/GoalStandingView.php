<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\Core\Grouping\Explain\Standing;

/**
 * How far a goal is met.
 */
final readonly class GoalStandingView
{
    /**
     * @param float  $met      0: as a deal at random, 1: as good as can be
     * @param string $obstacle what stands in the way; '' where nothing does
     */
    public function __construct(public float $met, public string $obstacle)
    {
    }

    public static function of(Standing $standing): self
    {
        return new self(round($standing->met, 3), $standing->obstacle);
    }
}
