<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * Why a student sits where they sit, and what moving them would cost.
 */
final readonly class WhyHere
{
    private NameList $named;

    /**
     * @param list<Rule>      $rules
     * @param list<Goal>      $goals
     * @param list<list<int>> $groups
     */
    public function __construct(
        private Setting $setting,
        private array $rules,
        private array $goals,
        private array $groups,
    ) {
        $this->named = new NameList($setting);
    }

    /**
     * @return list<Message> rules first, then goals
     */
    public function reasons(int $student): array
    {
        $own = $this->groupOf($student);
        if (null === $own) {
            return [];
        }
        $id = $this->setting->students[$student]->id;
        $members = $this->ids($this->groups[$own]);
        $reasons = [];
        foreach ($this->rules as $rule) {
            if (\in_array($id, $rule->students(), true)) {
                $reasons[] = $rule->reason($id, $members, $this->named->id(...));
            }
        }
        foreach ($this->goals as $goal) {
            $reasons[] = $goal->reason($this->setting, $student, $this->groups[$own], $this->named);
        }

        return array_values(array_filter($reasons, static fn (?Message $reason): bool => null !== $reason));
    }

    /**
     * @return list<Effect> one a group, the own one left out
     */
    public function effects(int $student): array
    {
        $own = $this->groupOf($student);
        $evaluation = new Evaluation($this->setting, $this->goals);
        $without = array_map(
            static fn (array $group): array => array_values(array_diff($group, [$student])),
            $this->groups,
        );
        $now = $evaluation->cost([$this->groups]);
        $effects = [];
        foreach (array_keys($this->groups) as $g) {
            if ($g === $own) {
                continue;
            }
            $moved = $without;
            $moved[$g][] = $student;
            $effects[] = new Effect(
                $g,
                null === $own ? 0.0 : $evaluation->cost([array_values($moved)]) - $now,
                $this->broken($student, $moved[$g], $g),
            );
        }

        return $effects;
    }

    /**
     * @param list<int> $group the group with the student in it
     *
     * @return list<Message> rules it would break
     */
    private function broken(int $student, array $group, int $number): array
    {
        $id = $this->setting->students[$student]->id;
        $members = $this->ids($group);
        $seated = $this->ids(array_merge(...$this->groups));
        $broken = [];
        foreach ($this->rules as $rule) {
            if (\in_array($id, $rule->students(), true) && !$rule->isKeptIn($members, $number + 1, $seated)) {
                $broken[] = $rule->inWords($this->named->id(...));
            }
        }

        return $broken;
    }

    /**
     * @param list<int> $students
     *
     * @return list<string>
     */
    private function ids(array $students): array
    {
        return array_map(fn (int $i): string => $this->setting->students[$i]->id, $students);
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
}
