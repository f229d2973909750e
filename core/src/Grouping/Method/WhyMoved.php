<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Move;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * Says why somebody changes groups in a repair.
 */
final readonly class WhyMoved
{
    /**
     * @param array<int, Rule>      $rules
     * @param array<string, string> $names
     */
    public function __construct(
        private Setting $setting,
        private array $rules,
        private array $names,
        private int $minSize,
    ) {
    }

    /**
     * @param array<int, int> $before student => group, −1 for an arrival
     * @param array<int, int> $after
     *
     * @return list<Move>
     */
    public function moves(array $before, array $after): array
    {
        $moves = [];
        foreach ($after as $i => $to) {
            if ($before[$i] >= 0 && $before[$i] !== $to) {
                $moves[] = new Move(
                    $this->setting->students[$i]->id,
                    $before[$i] + 1,
                    $to + 1,
                    $this->reason($i, $before, $after),
                );
            }
        }

        return $moves;
    }

    /**
     * @param array<int, int> $before
     * @param array<int, int> $after
     */
    private function reason(int $student, array $before, array $after): Message
    {
        $from = $before[$student];
        $to = $after[$student];
        $leftAtFrom = \count(array_keys($before, $from, true));
        $leftAtTo = \count(array_keys($before, $to, true));
        if ($leftAtFrom < $this->minSize) {
            return self::left($from, $leftAtFrom);
        }
        $rule = $this->ruleBroken($student, $before, $after);
        if (null !== $rule) {
            return new Message('grouping.moved.rule', [
                'rule' => $rule->inWords(fn (string $id): string => $this->names[$id] ?? $id),
            ]);
        }
        if ($leftAtTo < $this->minSize) {
            return self::left($to, $leftAtTo);
        }

        return new Message('grouping.moved.makes_room');
    }

    private static function left(int $group, int $with): Message
    {
        return new Message('grouping.moved.left', [
            'number' => $group + 1,
            'group' => new Message('grouping.group', ['number' => $group + 1]),
            'left' => $with,
        ]);
    }

    /**
     * A rule about the student that would be broken if they had stayed.
     *
     * @param array<int, int> $before
     * @param array<int, int> $after
     */
    private function ruleBroken(int $student, array $before, array $after): ?Rule
    {
        $stayed = $after;
        $stayed[$student] = $before[$student];
        foreach ($this->rules as $rule) {
            if (
                \in_array($this->setting->students[$student]->id, $rule->students(), true)
                && !(new Musts($this->setting, [$rule]))->areKeptBy($stayed)
            ) {
                return $rule;
            }
        }

        return null;
    }
}
