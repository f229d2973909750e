<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * Goes down the list: one, two, three, one, two, three. Rules cannot bend it; those it breaks are reported.
 */
final readonly class CountOff implements Method
{
    public function solve(Problem $problem, Limit $limit): Result
    {
        $setting = Setting::fromProblem($problem, $problem->shape ?? throw ImpossibleShape::noGroup());
        $groups = array_fill(0, $setting->groups(), []);
        for ($i = 0; $i < $setting->n; ++$i) {
            $groups[$i % $setting->groups()][] = $i;
        }
        $broken = (new BrokenRules($problem, $setting))->inGroups($groups, MethodKind::CountOff);
        $report = new Report($problem, $setting);

        return $report->found(array_fill(0, $problem->rounds, $groups))->with(conflicts: $broken);
    }
}
