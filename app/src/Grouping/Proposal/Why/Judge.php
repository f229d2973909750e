<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Grouping\Proposal\ConflictView;
use FreshHuddle\App\Grouping\Proposal\FindingWords;
use FreshHuddle\App\Grouping\Proposal\FloorInNumbers;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Explain\DegreeUnit;
use FreshHuddle\Core\Grouping\Explain\Effect;
use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Explain\Standings;
use FreshHuddle\Core\Grouping\Explain\WhyHere;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Message;

/**
 * Says how a floor stands against goals and rules, and why somebody sits where they sit.
 */
final readonly class Judge
{
    public function __construct(private ClassParts $parts, private FindingWords $view, private Words $words)
    {
    }

    /**
     * How a floor stands against goals and rules.
     */
    public function standings(Grouping $grouping, Floor $floor, DeskSettings $settings): StandingsView
    {
        $there = FloorInNumbers::fromFloor($this->parts, $grouping, $floor);
        if ([] === $there->groups) {
            return new StandingsView(
                array_map(
                    static fn (): GoalStandingView => new GoalStandingView(0.0, DegreeUnit::Share, 0, 0, '', ''),
                    $settings->goals,
                ),
                [],
            );
        }
        $standings = (new Standings($there->setting, $there->names()))->forGoals(
            $this->parts->goals($grouping, $settings),
            $there->groups,
        );

        return new StandingsView(array_map($this->view->standing(...), $standings), $this->broken($there));
    }

    /**
     * How many pairs are new to each other, and if not all are, why not.
     */
    public function partners(Grouping $grouping, Floor $floor): string
    {
        $there = FloorInNumbers::fromFloor($this->parts, $grouping, $floor);
        $goal = new NewPartners();
        $degree = $goal->degree($there->setting, $there->groups);
        $all = ['new' => $degree->met, 'all' => $degree->of];
        if ($degree->value >= 1.0) {
            return $this->words->say(new Message('grouping.partners.all', $all));
        }
        $cost = array_sum(
            array_map(static fn (array $group): float => $goal->groupCost($there->setting, $group), $there->groups),
        );
        // As few as these sizes allow, whoever sits where; or fewer could be had without the rules or by looking on.
        $isLeast = $cost <= $goal->lowerBound($there->setting, 1) + 1e-9;
        $why = $isLeast
            ? 'grouping.partners.least'
            : ([] === $there->rules
                ? 'grouping.partners.found'
                : 'grouping.partners.rules');

        return $this->words->say(
            new Message(
                $why,
                $all + [
                    'again' => $goal->obstacle(
                        $there->setting,
                        $there->groups,
                        new NameList($there->setting, $there->names()),
                    ) ?? '',
                ],
            ),
        );
    }

    /**
     * Asked with every look at a lesson: it reads nothing of what the class has done before.
     *
     * @return list<Message> the rules that a floor breaks, in words
     */
    public function brokenRules(Grouping $grouping, Floor $floor): array
    {
        $rules = $this->parts->rules($grouping);
        if ([] === $rules) {
            return [];
        }
        $names = array_column($this->parts->present($grouping), 'name', 'id');
        $groups = array_map(
            static fn (Group $group): array => array_values(
                array_filter($group->students, static fn (string $id): bool => isset($names[$id])),
            ),
            $floor->groups,
        );
        $seated = array_merge([], ...$groups);
        $rules = array_values(
            array_filter(
                $rules,
                static fn (RuleView $rule): bool => \count(array_intersect($rule->students, $seated)) > 1,
            ),
        );

        return array_map(
            static fn (array $broken): Message => $broken[1],
            self::brokenOnes($rules, $groups, static fn (string $id): string => $names[$id] ?? ''),
        );
    }

    /**
     * @return list<ConflictView> one a broken rule
     */
    private function broken(FloorInNumbers $there): array
    {
        $broken = self::brokenOnes(
            $there->rules,
            $there->setting->idsOf($there->groups),
            (new NameList($there->setting))->id(...),
        );

        return array_map(
            fn (array $rule): ConflictView => new ConflictView([$rule[0]], $this->words->say($rule[1])),
            $broken,
        );
    }

    /**
     * @param list<RuleView>           $rules
     * @param list<list<string>>       $groups ids of who sits at each table
     * @param callable(string): string $name
     *
     * @return list<array{string, Message}> the rule's id, and the rule in words
     */
    private static function brokenOnes(array $rules, array $groups, callable $name): array
    {
        $broken = [];
        $seated = array_merge([], ...$groups);
        foreach ($rules as $rule) {
            $must = ClassParts::must($rule);
            foreach ($groups as $g => $group) {
                if (!$must->isKeptIn($group, $g + 1, $seated)) {
                    $broken[] = [$rule->id, $must->inWords($name)];
                    break;
                }
            }
        }

        return $broken;
    }

    public function why(Grouping $grouping, Floor $floor, DeskSettings $settings, string $studentId): WhyView
    {
        $student =
            array_values(
                array_filter(
                    $this->parts->present($grouping),
                    static fn (StudentView $studentView): bool => $studentView->id === $studentId,
                ),
            )[0] ?? null;
        $there = FloorInNumbers::fromFloor($this->parts, $grouping, $floor, $student);
        $number = $there->setting->index[$studentId] ?? null;
        if (null === $number) {
            return new WhyView([], []);
        }
        $why = new WhyHere(
            $there->setting,
            array_map(ClassParts::must(...), $there->rules),
            $this->parts->goals($grouping, $settings),
            $there->groups,
        );

        return new WhyView(
            array_map($this->words->say(...), $why->reasons($number)),
            array_map(
                fn (Effect $effect): EffectView => new EffectView(
                    $there->tables[$effect->group]->id,
                    $effect->change < -1e-6 ? 1 : ($effect->change > 1e-6 ? -1 : 0),
                    array_map($this->words->say(...), $effect->breaks),
                ),
                $why->effects($number),
            ),
        );
    }
}
