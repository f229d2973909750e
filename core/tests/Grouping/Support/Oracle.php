<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Support;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\NotIn;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;

/**
 * Says by the book, and by looking at everything, what an engine has to find: the definitions of the goals written down
 * once more, as plainly as they can be, and all arrangements tried.
 */
final readonly class Oracle
{
    public function __construct(private Problem $problem)
    {
    }

    /**
     * @param list<list<list<string>>> $rounds
     */
    public function cost(array $rounds): float
    {
        $cost = 0.0;
        foreach ($this->problem->goals as $goal) {
            $cost += $goal->weight() * $this->goalCost($goal, $rounds);
        }

        return $cost;
    }

    /**
     * @param list<list<list<string>>> $rounds
     */
    public function goalCost(Goal $goal, array $rounds): float
    {
        $cost = 0.0;
        foreach ($rounds as $number => $groups) {
            foreach ($groups as $group) {
                if ([] === $group) {
                    continue; // an empty group is none
                }
                $cost += match (true) {
                    $goal instanceof Spread => $this->isNumeric($goal->attribute)
                        ? $this->spreadNumbers($goal->attribute, $group)
                        : $this->spreadValues($goal->attribute, $group),
                    $goal instanceof Alike => $this->isNumeric($goal->attribute)
                        ? $this->alikeNumbers($goal->attribute, $group)
                        : $this->alikeValues($goal->attribute, $group),
                    $goal instanceof EachHas => max(
                        0,
                        $goal->atLeast -
                            \count(
                                array_filter(
                                    $group,
                                    fn (string $id): bool => \in_array($goal->tag, $this->student($id)->tags, true),
                                ),
                            ),
                    ),
                    $goal instanceof NotAlone => $this->alone($goal->attribute, $group),
                    $goal instanceof NewPartners => $this->oldPartners($group, \array_slice($rounds, 0, $number)),
                    $goal instanceof Wishes => \count(
                        array_filter(
                            $group,
                            static fn (string $id): bool => [] !== ($goal->wishes[$id] ?? [])
                                && [] === array_intersect($goal->wishes[$id], array_diff($group, [$id])),
                        ),
                    ),
                    default => throw new \LogicException('A goal nobody has written down here.'),
                };
            }
        }

        return $cost;
    }

    /**
     * @param list<list<string>> $groups
     * @param list<Rule>|null    $rules
     */
    public function keeps(array $groups, ?array $rules = null): bool
    {
        $groupOf = [];
        foreach ($groups as $g => $group) {
            foreach ($group as $id) {
                $groupOf[$id] = $g + 1;
            }
        }
        foreach ($rules ?? $this->problem->rules as $rule) {
            $there = array_map(
                static fn (string $id): int|string => $groupOf[$id] ?? 'nowhere '.$id,
                $rule->students(),
            );
            $kept = match (true) {
                $rule instanceof Apart => \count(array_unique($there)) === \count($there),
                $rule instanceof Together => 1 === \count(array_unique(array_filter($there, \is_int(...))))
                    || [] === array_filter($there, \is_int(...)),
                $rule instanceof Seat => !isset($groupOf[$rule->student])
                    || $groupOf[$rule->student] === $rule->group,
                $rule instanceof NotIn => ($groupOf[$rule->student] ?? 0) !== $rule->group,
                default => throw new \LogicException('A rule nobody has written down here.'),
            };
            if (!$kept) {
                return false;
            }
        }

        return true;
    }

    /**
     * Every way to put students into numbered groups of these sizes, whichever group has which.
     *
     * @param list<string> $ids
     * @param list<int>    $sizes
     *
     * @return \Generator<int, list<list<string>>>
     */
    public static function arrangements(array $ids, array $sizes): \Generator
    {
        rsort($sizes);
        foreach (self::assignments($ids, array_fill(0, \count($sizes), []), $sizes[0] ?? 0) as $groups) {
            $here = array_map('count', $groups);
            rsort($here);
            if ($here === $sizes) {
                yield $groups;
            }
        }
    }

    /**
     * Every way to put students into so many numbered groups.
     *
     * @param list<string>       $ids
     * @param list<list<string>> $groups
     *
     * @return \Generator<int, list<list<string>>>
     */
    public static function assignments(array $ids, array $groups, int $most): \Generator
    {
        $id = array_shift($ids);
        if (null === $id) {
            yield $groups;

            return;
        }
        foreach ($groups as $g => $group) {
            if (\count($group) < $most) {
                $next = $groups;
                $next[$g][] = $id;
                yield from self::assignments($ids, array_values($next), $most);
            }
        }
    }

    private function student(string $id): \FreshHuddle\Core\Grouping\Student
    {
        foreach ($this->problem->students as $student) {
            if ($student->id === $id) {
                return $student;
            }
        }
        throw new \LogicException($id);
    }

    private function value(string $id, string $attribute): int|float|string|null
    {
        return $this->student($id)->attributes[$attribute] ?? null;
    }

    private function isNumeric(string $attribute): bool
    {
        foreach ($this->problem->students as $student) {
            if (\is_string($student->attributes[$attribute] ?? 0)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @return list<float>
     */
    private function numbers(string $attribute): array
    {
        return $this->numbersOf(
            array_map(static fn ($student): string => $student->id, $this->problem->students),
            $attribute,
        );
    }

    /**
     * @param list<string> $ids
     *
     * @return list<float>
     */
    private function numbersOf(array $ids, string $attribute): array
    {
        $values = [];
        foreach ($ids as $id) {
            $value = $this->value($id, $attribute);
            if (null !== $value) {
                $values[] = (float) $value;
            }
        }

        return $values;
    }

    /**
     * @param list<float> $values
     */
    private static function mean(array $values): float
    {
        return [] === $values ? 0.0 : array_sum($values) / \count($values);
    }

    /**
     * @param list<float> $values
     */
    private static function squares(array $values): float
    {
        $mean = self::mean($values);

        return array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $values));
    }

    /**
     * @param list<string> $group
     */
    private function spreadNumbers(string $attribute, array $group): float
    {
        $all = $this->numbers($attribute);
        $own = $this->numbersOf($group, $attribute);
        $values = array_values(array_unique($all));
        sort($values);
        $share = static fn (array $of, float $most): float => \count(
            array_filter($of, static fn (mixed $value): bool => $value <= $most),
        ) / max(1, \count($of));
        $far = $all1 = 0.0;
        foreach (\array_slice($values, 0, -1) as $i => $value) {
            $gap = $values[$i + 1] - $value;
            $far += $gap * ($share($own, $value) - $share($all, $value)) ** 2;
            $all1 += $gap * $share($all, $value) * (1 - $share($all, $value));
        }

        return [] === $own || $all1 <= 1e-12 ? 0.0 : (\count($own) * $far) / $all1;
    }

    /**
     * @param list<string> $group
     */
    private function alikeNumbers(string $attribute, array $group): float
    {
        $all = $this->numbers($attribute);
        $variance = [] === $all ? 0.0 : self::squares($all) / \count($all);

        return $variance <= 1e-12 ? 0.0 : self::squares($this->numbersOf($group, $attribute)) / $variance;
    }

    /**
     * @param list<string> $group
     */
    private function spreadValues(string $attribute, array $group): float
    {
        $inClass = $this->valuesIn(
            array_map(static fn ($student): string => $student->id, $this->problem->students),
            $attribute,
        );
        $here = $this->valuesIn($group, $attribute);
        [$all, $own] = [array_sum($inClass), array_sum($here)];
        $far = $most = 0.0;
        foreach ($inClass as $value => $count) {
            $far += (($here[$value] ?? 0) / max(1, $own) - $count / $all) ** 2;
            $most += ($count / $all) * (1 - $count / $all);
        }

        return 0 === $own || $most <= 1e-12 ? 0.0 : ($own * $far) / $most;
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, int>
     */
    private function valuesIn(array $ids, string $attribute): array
    {
        $counts = [];
        foreach ($ids as $id) {
            $value = $this->value($id, $attribute);
            if (null !== $value) {
                $counts['='.$value] = ($counts['='.$value] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /**
     * @param list<string> $group
     */
    private function alikeValues(string $attribute, array $group): float
    {
        $pairs = 0;
        foreach ($group as $at => $one) {
            foreach (\array_slice($group, $at + 1) as $other) {
                [$a, $b] = [$this->value($one, $attribute), $this->value($other, $attribute)];
                $pairs += null !== $a && null !== $b && $a !== $b ? 1 : 0;
            }
        }

        return (float) $pairs;
    }

    /**
     * @param list<string> $group
     */
    private function alone(string $attribute, array $group): int
    {
        $class = $this->valuesIn(
            array_map(static fn ($student): string => $student->id, $this->problem->students),
            $attribute,
        );
        $alone = 0;
        foreach ($this->valuesIn($group, $attribute) as $value => $count) {
            $alone += 1 === $count && $class[$value] >= 2 ? 1 : 0;
        }

        return $alone;
    }

    /**
     * @param list<string>             $group
     * @param list<list<list<string>>> $before
     */
    private function oldPartners(array $group, array $before): float
    {
        $cost = 0.0;
        foreach ($group as $at => $one) {
            foreach (\array_slice($group, $at + 1) as $other) {
                foreach ($before as $groups) {
                    $cost += self::areTogether($groups, $one, $other) ? 1.0 : 0.0;
                }
                foreach (array_reverse($this->problem->history) as $age => $groups) {
                    $cost += self::areTogether($groups, $one, $other) ? 0.5 ** $age : 0.0;
                }
            }
        }

        return $cost;
    }

    /**
     * @param list<list<string>> $groups
     */
    private static function areTogether(array $groups, string $one, string $other): bool
    {
        foreach ($groups as $group) {
            if (\in_array($one, $group, true) && \in_array($other, $group, true)) {
                return true;
            }
        }

        return false;
    }
}
