<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedCopy;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;

/**
 * A copy can be opened by somebody it does not belong to, or not by somebody it does.
 */
final readonly class WrongWriters implements Check
{
    public function find(Plan $plan): array
    {
        $members = [];
        foreach ($plan->groups as $group) {
            $members[$group->id] = $plan->presentMembers($group);
        }
        $all = array_map(strval(...), array_keys($plan->students));
        $wrong = array_values(
            array_filter($plan->copies, static function (PlannedCopy $copy) use ($members, $all): bool {
                if (null === $copy->writers) {
                    return false;
                }
                $should =
                    null !== $copy->student
                        ? [$copy->student]
                        : (null !== $copy->group
                            ? $members[$copy->group] ?? []
                            : $all);

                return [] !== array_diff($copy->writers, $should) || [] !== array_diff($should, $copy->writers);
            }),
        );

        return [] === $wrong
            ? []
            : [
                new Finding(
                    'wrongWriters',
                    Weight::Stop,
                    new Message('ready.wrong_writers', ['copies' => Said::named($wrong), 'count' => \count($wrong)]),
                    Mend::MakeCopies,
                    new Message('ready.press.mend_copies', ['copies' => \count($wrong)]),
                ),
            ];
    }
}
