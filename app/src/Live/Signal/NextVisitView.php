<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\Core\Live\Visit\Reason;

/**
 * A group to go to, and why.
 */
final readonly class NextVisitView
{
    /**
     * @param int $since since when the reason has stood (milliseconds since 1970); of members missing or silent: how
     *                   many
     */
    public function __construct(public string $groupId, public Reason $reason, public int $since)
    {
    }
}
