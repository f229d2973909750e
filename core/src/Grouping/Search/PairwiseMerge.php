<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Joins groups two by two so that it costs least; an odd one out joins the smallest of those that have come about. Up
 * to twelve groups every way is weighed (dynamic programming over the groups left: Bellman, 1962); beyond that groups
 * change partners two at a time for as long as that helps.
 */
final readonly class PairwiseMerge
{
    private const EXACT = 12;

    /**
     * @param \Closure(list<int>): float $cost  of a group
     * @param list<list<int>>            $apart sets of students of whom no two may share a group
     */
    public function __construct(private \Closure $cost, private array $apart)
    {
    }

    /**
     * @param list<list<int>> $groups two or more
     *
     * @return list<list<int>>|null in the order of the groups they came from; null where no two-by-two keeps everybody
     *                              apart
     *                              who must be
     *
     * Complexity: up to 12 groups O(2ᵏ·k), for an odd number k times as much; beyond, O(k²) a pass
     */
    public function join(array $groups): ?array
    {
        if (0 === \count($groups) % 2) {
            return $this->pairs($groups)[0] ?? null;
        }
        $best = null;
        foreach ($groups as $out => $single) {
            if (null !== $best && \count($groups) > self::EXACT) {
                break;
            }
            $paired = $this->pairs(array_values(array_diff_key($groups, [$out => true])));
            $joined = null === $paired ? null : $this->withOddOne($paired[0], $single);
            $cost = null === $joined ? \INF : array_sum(array_map($this->cost, $joined));
            if (null !== $joined && (null === $best || $cost < $best[1])) {
                $best = [$joined, $cost];
            }
        }

        return $best[0] ?? null;
    }

    /**
     * @param list<list<int>> $joined
     * @param list<int>       $single
     *
     * @return list<list<int>>|null
     */
    private function withOddOne(array $joined, array $single): ?array
    {
        $least = min(\PHP_INT_MAX, ...array_map('count', $joined));
        $best = null;
        foreach ($joined as $at => $group) {
            $together = [...$group, ...$single];
            if (\count($group) !== $least || !$this->mayMeet($together)) {
                continue;
            }
            $change = ($this->cost)($together) - ($this->cost)($group);
            if (null === $best || $change < $best[1]) {
                $best = [$at, $change];
            }
        }
        if (null === $best) {
            return null;
        }
        $joined[$best[0]] = [...$joined[$best[0]], ...$single];

        return array_values($joined);
    }

    /**
     * @param list<list<int>> $groups an even number
     *
     * @return array{list<list<int>>, float}|null
     */
    private function pairs(array $groups): ?array
    {
        $count = \count($groups);
        if (0 === $count) {
            return [[], 0.0];
        }
        $costs = [];
        foreach ($groups as $a => $group) {
            foreach (\array_slice($groups, $a + 1, null, true) as $b => $other) {
                $together = [...$group, ...$other];
                $costs[$a][$b] = $costs[$b][$a] = $this->mayMeet($together) ? ($this->cost)($together) : \INF;
            }
        }
        $partner = $count <= self::EXACT ? self::exactly($count, $costs) : self::nearly($count, $costs);
        if (null === $partner) {
            return null;
        }
        $joined = [];
        $sum = 0.0;
        foreach ($partner as $a => $b) {
            if ($a < $b) {
                $joined[] = [...$groups[$a], ...$groups[$b]];
                $sum += $costs[$a][$b];
            }
        }

        return [$joined, $sum];
    }

    /**
     * @param array<int, array<int, float>> $costs
     *
     * @return array<int, int>|null by group: its partner
     */
    private static function exactly(int $count, array $costs): ?array
    {
        $best = [0 => [0.0, 0, 0]];
        for ($set = 1; $set < 1 << $count; ++$set) {
            $a = self::lowest($set);
            for ($b = $a + 1; $b < $count; ++$b) {
                $rest = $set & ~(1 << $a) & ~(1 << $b);
                if (0 !== ($set & (1 << $b)) && isset($best[$rest])) {
                    $cost = $best[$rest][0] + $costs[$a][$b];
                    if ($cost < ($best[$set][0] ?? \INF)) {
                        $best[$set] = [$cost, $a, $b];
                    }
                }
            }
        }
        $set = (1 << $count) - 1;
        if (!isset($best[$set])) {
            return null;
        }
        $partner = [];
        while (0 !== $set) {
            [, $a, $b] = $best[$set] ?? throw new \LogicException('Whatever is left was left on the way here.');
            $partner[$a] = $b;
            $partner[$b] = $a;
            $set &= ~(1 << $a) & ~(1 << $b);
        }
        ksort($partner);

        return $partner;
    }

    /**
     * @param array<int, array<int, float>> $costs
     *
     * @return array<int, int>|null
     */
    private static function nearly(int $count, array $costs): ?array
    {
        $worst = 1.0;
        foreach ($costs as $row) {
            $worst += array_sum(array_filter($row, is_finite(...)));
        }
        // a forbidden pair goes before anything else
        $price = static fn (int $a, int $b): float => min($worst, $costs[$a][$b]);
        $partner = [];
        for ($a = 0; $a < $count; ++$a) {
            if (!isset($partner[$a])) {
                $free = array_values(
                    array_filter(range($a + 1, $count - 1), static fn (int $b): bool => !isset($partner[$b])),
                );
                usort($free, static fn (int $b, int $c): int => $price($a, $b) <=> $price($a, $c));
                $partner[$a] = $free[0];
                $partner[$free[0]] = $a;
            }
        }
        do {
            $better = false;
            for ($a = 0; $a < $count; ++$a) {
                for ($c = $a + 1; $c < $count; ++$c) {
                    [$b, $d] = [$partner[$a], $partner[$c]];
                    if ($c === $b || $price($a, $c) + $price($b, $d) >= $price($a, $b) + $price($c, $d) - 1e-9) {
                        continue;
                    }
                    [$partner[$a], $partner[$c], $partner[$b], $partner[$d]] = [$c, $a, $d, $b];
                    $better = true;
                }
            }
        } while ($better);
        foreach ($partner as $a => $b) {
            if (\INF === $costs[$a][$b]) {
                return null;
            }
        }
        ksort($partner);

        return $partner;
    }

    /**
     * @param list<int> $students
     */
    private function mayMeet(array $students): bool
    {
        foreach ($this->apart as $set) {
            if (\count(array_intersect($set, $students)) > 1) {
                return false;
            }
        }

        return true;
    }

    private static function lowest(int $set): int
    {
        $bit = 0;
        while (0 === ($set & (1 << $bit))) {
            ++$bit;
        }

        return $bit;
    }
}
