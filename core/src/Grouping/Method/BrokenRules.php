<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * For methods that follow the list and not the rules: which rules an arrangement breaks.
 */
final readonly class BrokenRules
{
    public function __construct(private Problem $problem, private Setting $setting)
    {
    }

    /**
     * @param list<list<int>> $groups students who have no group are passed over
     *
     * @return list<Conflict> one a broken rule
     */
    public function inGroups(array $groups, MethodKind $method): array
    {
        $groupOf = [];
        foreach ($groups as $g => $group) {
            $groupOf += array_fill_keys($group, $g);
        }
        $labels = $this->problem->labels();
        $name = static fn (string $id): string => $labels[$id] ?? $id;
        $isPresent = [];
        foreach ($groupOf as $i => $_) {
            $isPresent[$this->setting->students[$i]->id] = true;
        }
        for ($i = 0; $i < $this->setting->n; ++$i) {
            $groupOf[$i] ??= -1 - $i; // nobody else is there
        }
        $broken = [];
        foreach ($this->problem->rules as $number => $rule) {
            $rule = $rule->among($isPresent);
            if (null !== $rule && !(new Musts($this->setting, [$rule]))->areKeptBy($groupOf)) {
                $broken[] = new Conflict(
                    [$number],
                    new Message('grouping.conflict.method', [
                        'method' => $method->value,
                        'rule' => $rule->inWords($name),
                    ]),
                );
            }
        }

        return $broken;
    }
}
