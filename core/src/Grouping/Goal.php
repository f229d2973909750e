<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Explain\Degree;
use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;
use FreshHuddle\Core\Message;

/**
 * A should: it costs something where it is not met. What it costs is defined by `groupCost` and `meetingsCost`; a tally
 * gives the same by what a swap changes.
 */
interface Goal
{
    /**
     * @return float from 0 to 1,000,000
     */
    public function weight(): float;

    /**
     * What one group costs in one round, without the weight.
     *
     * @param list<int> $group students, at least one
     */
    public function groupCost(Setting $setting, array $group): float;

    /**
     * What the rounds cost because of each other, without the weight; 0 for most goals.
     *
     * @param list<list<list<int>>> $rounds
     */
    public function meetingsCost(Setting $setting, array $rounds): float;

    /**
     * A cost no rounds of these sizes can go below, whatever the rules.
     *
     * @param int $rounds 1 or more
     */
    public function lowerBound(Setting $setting, int $rounds): float;

    /**
     * How far it is met by one round, on a teacher's own scale.
     *
     * @param list<list<int>> $groups empty ones are none
     */
    public function degree(Setting $setting, array $groups): Degree;

    /**
     * What stands in the way where it is not fully met.
     *
     * @param list<list<int>> $groups empty ones are none
     */
    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message;

    /**
     * What each group has, in words a teacher would check it by; null where a count says it all.
     *
     * @param list<list<int>> $groups empty ones are none
     */
    public function summary(Setting $setting, array $groups, NameList $named): ?Message;

    /**
     * Why a student is well, or not so well, in this group by this goal; null where it has nothing to say of them.
     *
     * @param int       $student one of the group
     * @param list<int> $group
     */
    public function reason(Setting $setting, int $student, array $group, NameList $named): ?Message;

    /**
     * @param int $rounds 1 or more
     *
     * @return list<Tally> a tally a round
     */
    public function tallies(Setting $setting, int $rounds): array;

    /**
     * @param float $weight from 0 to 1,000,000
     *
     * @throws UnusableProblem
     */
    public static function read(Node $item, GoalContext $reading, float $weight): self;
}
