<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * Why a student sits where they sit, and what moving them would cost.
 */
final readonly class WhyHere
{
    /**
     * @param list<Rule>      $rules
     * @param list<Goal>      $goals
     * @param list<list<int>> $groups
     */
    public function __construct(private Setting $setting, private array $rules, private array $goals, private array $groups)
    {
    }

    /**
     * @return list<string> sentences
     */
    public function reasons(int $student): array
    {
        $own = $this->groupOf($student);
        if (null === $own) {
            return [];
        }
        $id = $this->setting->students[$student]->id;
        $here = array_map(fn (int $i): string => $this->setting->students[$i]->id, $this->groups[$own]);
        $reasons = [];
        foreach ($this->rules as $rule) {
            if (!\in_array($id, $rule->students(), true)) {
                continue;
            }
            $others = array_map($this->name(...), array_values(array_diff($rule->students(), [$id])));
            if ($rule instanceof Together && \count(array_intersect($rule->students(), $here)) > 1) {
                $reasons[] = 'Has to be with '.Rule\Names::list($others).'.';
            } elseif ($rule instanceof Apart) {
                $reasons[] = 'Has to be apart from '.Rule\Names::list($others).'.';
            }
        }
        foreach ($this->goals as $goal) {
            $reason = $this->reason($goal, $student, $this->groups[$own]);
            if (null !== $reason) {
                $reasons[] = $reason;
            }
        }

        return $reasons;
    }

    /**
     * @return list<Effect> one a group, the own one left out
     */
    public function effects(int $student): array
    {
        $own = $this->groupOf($student);
        $evaluation = new Evaluation($this->setting, $this->goals);
        $without = array_map(static fn (array $group): array => array_values(array_diff($group, [$student])), $this->groups);
        $now = $evaluation->cost([$this->groups]);
        $effects = [];
        foreach (array_keys($this->groups) as $g) {
            if ($g === $own) {
                continue;
            }
            $moved = $without;
            $moved[$g][] = $student;
            $effects[] = new Effect($g, null === $own ? 0.0 : $evaluation->cost([array_values($moved)]) - $now, $this->broken($student, $moved[$g], $g));
        }

        return $effects;
    }

    /**
     * @param list<int> $group the group with the student in it
     *
     * @return list<string> rules it would break
     */
    private function broken(int $student, array $group, int $number): array
    {
        $id = $this->setting->students[$student]->id;
        $here = array_map(fn (int $i): string => $this->setting->students[$i]->id, $group);
        $seated = array_map(fn (int $i): string => $this->setting->students[$i]->id, array_merge(...$this->groups));
        $broken = [];
        foreach ($this->rules as $rule) {
            if (!\in_array($id, $rule->students(), true)) {
                continue;
            }
            $breaks = match (true) {
                $rule instanceof Apart => \count(array_intersect($rule->students(), $here)) > 1,
                $rule instanceof Together => [] !== array_diff(array_intersect($rule->students(), $seated), $here),
                $rule instanceof Rule\Seat => $rule->group !== $number + 1,
                $rule instanceof Rule\NotIn => $rule->group === $number + 1,
                default => false,
            };
            if ($breaks) {
                $broken[] = $rule->inWords($this->name(...));
            }
        }

        return $broken;
    }

    /**
     * @param list<int> $group
     */
    private function reason(Goal $goal, int $student, array $group): ?string
    {
        $others = array_values(array_diff($group, [$student]));
        $me = $this->setting->students[$student];
        if ($goal instanceof EachHas && \in_array($goal->tag, $me->tags, true)) {
            $also = array_filter($others, fn (int $i): bool => \in_array($goal->tag, $this->setting->students[$i]->tags, true));

            return [] === $also ? \sprintf('The only one with “%s” here.', $goal->tag) : null;
        }
        if ($goal instanceof Wishes) {
            $wished = array_filter($others, fn (int $i): bool => \in_array($this->setting->students[$i]->id, $goal->wishes[$me->id] ?? [], true));

            return [] === $wished ? null : \sprintf('Wished to be with %s.', Rule\Names::list(array_map(fn (int $i): string => $this->setting->students[$i]->label(), array_values($wished))));
        }
        if ($goal instanceof NotAlone || $goal instanceof Spread) {
            $value = $me->attributes[$goal->attribute] ?? null;
            if (null === $value || ($goal instanceof Spread && !\is_string($value))) {
                return null === $value ? null : $this->level($goal->attribute, $value, $group);
            }
            $same = array_filter($others, fn (int $i): bool => ($this->setting->students[$i]->attributes[$goal->attribute] ?? null) === $value);
            $names = array_map(fn (int $i): string => $this->setting->students[$i]->label(), array_values($same));
            if ($goal instanceof NotAlone) {
                return [] === $names ? \sprintf('Alone here with %s %s.', $goal->attribute, $value) : \sprintf('Shares %s %s with %s.', $goal->attribute, $value, Rule\Names::list($names));
            }

            return null;
        }
        if ($goal instanceof NewPartners) {
            $met = $this->setting->met()[$student] ?? [];
            $old = array_map(fn (int $i): string => $this->setting->students[$i]->label(), array_values(array_filter($others, static fn (int $i): bool => ($met[$i] ?? 0.0) > 0.0)));

            return [] === $old ? 'All partners are new.' : 'Has been with '.Rule\Names::list($old).' before.';
        }

        return null;
    }

    /**
     * @param list<int> $group
     */
    private function level(string $attribute, int|float|string $value, array $group): string
    {
        $values = [];
        foreach ($group as $i) {
            $own = $this->setting->students[$i]->attributes[$attribute] ?? null;
            if (null !== $own && !\is_string($own)) {
                $values[] = (float) $own;
            }
        }

        return \sprintf('%s %s; the group has %.1f on average.', mb_convert_case($attribute, \MB_CASE_TITLE), $value, [] === $values ? 0.0 : array_sum($values) / \count($values));
    }

    private function groupOf(int $student): ?int
    {
        foreach ($this->groups as $g => $group) {
            if (\in_array($student, $group, true)) {
                return $g;
            }
        }

        return null;
    }

    private function name(string $id): string
    {
        $number = $this->setting->index[$id] ?? null;

        return null === $number ? $id : $this->setting->students[$number]->label();
    }
}
