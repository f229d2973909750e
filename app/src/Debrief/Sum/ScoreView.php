<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

/**
 * How much somebody has right.
 */
final readonly class ScoreView
{
    /**
     * @param int $source its place among the sources
     */
    public function __construct(public int $source, public int $right, public int $of)
    {
    }
}
