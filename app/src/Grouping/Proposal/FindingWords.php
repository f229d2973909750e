<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Proposal\Why\GoalStandingView;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Explain\Standing;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;

/**
 * Words what the computation says of a class's groups.
 */
final readonly class FindingWords
{
    public function __construct(private Words $words)
    {
    }

    public function standing(Standing $standing): GoalStandingView
    {
        $degree = $standing->degree;

        return new GoalStandingView(
            round($degree->value, 3),
            $degree->unit,
            $degree->met,
            $degree->of,
            null === $standing->obstacle ? '' : $this->words->say($standing->obstacle),
            null === $standing->summary ? '' : $this->words->say($standing->summary),
        );
    }

    /**
     * @param list<Conflict> $conflicts
     * @param list<RuleView> $rules
     *
     * @return list<ConflictView>
     */
    public function conflicts(array $conflicts, array $rules, ?GroupingProblem $problem): array
    {
        return array_map(function (Conflict $conflict) use ($rules, $problem): ConflictView {
            $ids = [];
            foreach ($conflict->rules as $number) {
                $about = $problem?->rules[$number]->students() ?? ($rules[$number]->students ?? []);
                foreach ($rules as $rule) {
                    if ([] === array_diff($about, $rule->students) && \count($about) > 1) {
                        $ids[] = $rule->id;
                    }
                }
            }

            return new ConflictView(array_values(array_unique($ids)), $this->words->say($conflict->message));
        }, $conflicts);
    }
}
