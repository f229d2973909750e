<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Rule\Names;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * Says how far goals are met, and what stands in the way.
 */
final readonly class Standings
{
    /** How many are named before it says “and 3 more”. */
    private const NAMED = 3;

    /**
     * @param list<string> $groupNames
     */
    public function __construct(private Setting $setting, private array $groupNames)
    {
    }

    /**
     * Complexity: O(goal cost).
     *
     * @param list<Goal>      $goals
     * @param list<list<int>> $groups
     *
     * @return list<Standing> in the order of the goals
     */
    public function of(array $goals, array $groups): array
    {
        $evaluation = new Evaluation($this->setting, $goals);
        $standings = [];
        foreach ($goals as $goal) {
            $cost = $evaluation->goalCost($goal, [$groups]);
            $standings[] = new Standing($goal->degree($this->setting, $groups), $cost, $cost <= 1e-9 ? '' : $this->obstacle($goal, $groups));
        }

        return $standings;
    }

    /**
     * @param list<list<int>> $groups
     */
    private function obstacle(Goal $goal, array $groups): string
    {
        return match (true) {
            $goal instanceof EachHas => $this->lacking($goal, $groups),
            $goal instanceof NotAlone => $this->alone($goal, $groups),
            $goal instanceof NewPartners => $this->oldPartners($groups),
            $goal instanceof Wishes => $this->unmet($goal, $groups),
            $goal instanceof Spread => null === $this->setting->scores($goal->attribute) ? $this->costliest($goal, $groups, 'most uneven in %s') : $this->means($goal->attribute, $groups),
            $goal instanceof Alike => $this->costliest($goal, $groups, 'most mixed in %s'),
            default => '',
        };
    }

    /**
     * @param list<list<int>> $groups
     */
    private function lacking(EachHas $goal, array $groups): string
    {
        $names = [];
        foreach ($groups as $g => $group) {
            if ([] !== $group && $goal->groupCost($this->setting, $group) > 0.0) {
                $names[] = $this->groupNames[$g] ?? (string) ($g + 1);
            }
        }
        $with = \count(array_filter($this->setting->students, static fn ($student): bool => \in_array($goal->tag, $student->tags, true)));
        $groupCount = \count(array_filter($groups, static fn (array $group): bool => [] !== $group));

        return \sprintf('not in %s', $this->some($names)).($with < $goal->atLeast * $groupCount ? \sprintf('; only %d in the class', $with) : '');
    }

    /**
     * @param list<list<int>> $groups
     */
    private function unmet(Wishes $goal, array $groups): string
    {
        $names = [];
        foreach ($groups as $group) {
            foreach ($goal->unmet($this->setting, $group) as $student) {
                $names[] = $this->setting->students[$student]->label();
            }
        }

        return 'no wish met for '.$this->some($names);
    }

    /**
     * @param list<list<int>> $groups
     */
    private function alone(NotAlone $goal, array $groups): string
    {
        $alone = [];
        foreach ($groups as $group) {
            $byValue = [];
            foreach ($group as $student) {
                $value = $this->setting->students[$student]->attributes[$goal->attribute] ?? null;
                if (null !== $value) {
                    $byValue[(string) $value][] = $student;
                }
            }
            foreach ($byValue as $value => $students) {
                if (1 === \count($students) && $goal->groupCost($this->setting, $students) > 0.0) {
                    $alone[] = \sprintf('%s (%s)', $this->setting->students[$students[0]]->label(), $value);
                }
            }
        }

        return 'alone: '.$this->some($alone);
    }

    /**
     * @param list<list<int>> $groups
     */
    private function oldPartners(array $groups): string
    {
        $met = $this->setting->met();
        $pairs = [];
        foreach ($groups as $group) {
            foreach ($group as $at => $i) {
                foreach (\array_slice($group, $at + 1) as $j) {
                    if (($met[$i][$j] ?? 0.0) > 0.0) {
                        $pairs[$this->setting->students[$i]->label().' and '.$this->setting->students[$j]->label()] = $met[$i][$j];
                    }
                }
            }
        }
        arsort($pairs);

        return 'again together: '.$this->some(array_map(strval(...), array_keys($pairs)));
    }

    /**
     * @param list<list<int>> $groups
     */
    private function means(string $attribute, array $groups): string
    {
        $means = [];
        foreach ($groups as $g => $group) {
            $values = [];
            foreach ($group as $student) {
                $value = $this->setting->students[$student]->attributes[$attribute] ?? null;
                if (null !== $value) {
                    $values[] = (float) $value;
                }
            }
            if ([] !== $values) {
                $means[$g] = array_sum($values) / \count($values);
            }
        }
        if ([] === $means) {
            return '';
        }
        asort($means);
        $low = array_key_first($means);
        $high = array_key_last($means);

        return \sprintf('%s has %.1f on average, %s %.1f', $this->groupNames[$high] ?? $high + 1, $means[$high], $this->groupNames[$low] ?? $low + 1, $means[$low]);
    }

    /**
     * @param list<list<int>> $groups
     */
    private function costliest(Goal $goal, array $groups, string $sentence): string
    {
        $costs = [];
        foreach ($groups as $g => $group) {
            $cost = [] === $group ? 0.0 : $goal->groupCost($this->setting, $group);
            if ($cost > 1e-9) {
                $costs[$this->groupNames[$g] ?? (string) ($g + 1)] = $cost;
            }
        }
        arsort($costs);

        return \sprintf($sentence, $this->some(array_map(strval(...), array_keys($costs))));
    }

    /**
     * @param list<string> $names
     */
    private function some(array $names): string
    {
        $more = \count($names) - self::NAMED;

        return $more > 0 ? implode(', ', \array_slice($names, 0, self::NAMED))." and {$more} more" : Names::list($names);
    }
}
