<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;
use FreshHuddle\Core\Message;

/**
 * What goals share whose rounds have nothing to do with each other.
 */
trait GoalOfGroups
{
    public function weight(): float
    {
        return $this->weight;
    }

    public function meetingsCost(Setting $setting, array $rounds): float
    {
        return 0.0;
    }

    public function lowerBound(Setting $setting, int $rounds): float
    {
        return $rounds * $this->roundBound($setting);
    }

    public function tallies(Setting $setting, int $rounds): array
    {
        return array_map(fn (): Tally => $this->tally($setting), range(1, $rounds));
    }

    public function summary(Setting $setting, array $groups, NameList $named): ?Message
    {
        return null;
    }

    abstract private function roundBound(Setting $setting): float;

    abstract private function tally(Setting $setting): Tally;
}
