<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Visit;

/**
 * A group to go to, and why.
 */
final readonly class NextVisit
{
    /**
     * @param int $since since when the reason has stood, in milliseconds since 1970; of members missing or silent: how
     *                   many
     */
    public function __construct(public string $group, public Reason $reason, public int $since)
    {
    }
}
