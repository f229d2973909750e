<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

/**
 * A practice, as the page of its lesson shows it.
 */
final readonly class PracticeView
{
    /**
     * @param string $lesson   the one that is practised
     * @param string $practice its double, where it happens
     * @param int    $beganAt  milliseconds since 1970
     */
    public function __construct(public string $lesson, public string $practice, public int $beganAt)
    {
    }
}
