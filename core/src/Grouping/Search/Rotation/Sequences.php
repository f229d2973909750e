<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

use FreshHuddle\Core\Grouping\Search\Limit;

/**
 * The best rotation for a handful of students: all arrangements of one round are put in sequence, giving up where even
 * the cheapest meetings to come cost too much (branch and bound). The order of rounds does not matter, so only one is
 * tried.
 */
final class Sequences
{
    /** Arrangements tried between two looks at the limit. */
    private const STRIDE = 512;

    private float $best;

    /** @var list<int> the arrangements of the best rotation so far */
    private array $found = [];

    private int $steps = 0;

    private Limit $limit;

    /** @var list<list<int>> the pairs that meet in each arrangement */
    private array $pairs = [];

    /** @var array<int, float> pair => what its next meeting costs */
    private array $next = [];

    private readonly float $cheapest;

    /**
     * @param list<list<list<int>>> $arrangements of one round
     * @param list<float>           $costs        of each, without meetings in these rounds
     * @param float                 $weight       of meetings
     */
    public function __construct(
        private readonly array $arrangements,
        private readonly array $costs,
        private readonly float $weight,
        int $students,
    ) {
        $this->cheapest = [] === $costs ? 0.0 : min($costs);
        for ($i = 0; $i < $students; ++$i) {
            for ($j = $i + 1; $j < $students; ++$j) {
                $this->next[$i * $students + $j] = 0.0;
            }
        }
        foreach ($arrangements as $groups) {
            $pairs = [];
            foreach ($groups as $group) {
                sort($group);
                foreach ($group as $at => $i) {
                    foreach (\array_slice($group, $at + 1) as $j) {
                        $pairs[] = $i * $students + $j;
                    }
                }
            }
            $this->pairs[] = $pairs;
        }
    }

    /**
     * @param float $below a cost that is known to be possible
     *
     * @return array{list<list<list<int>>>|null, bool} a better rotation, if there is one; and whether all were looked
     *     at
     */
    public function better(int $rounds, float $below, Limit $limit): array
    {
        $this->best = $below - 1e-9;
        $this->limit = $limit;
        $all = $this->search([], $rounds, 0, 0.0);
        $found = array_map(fn (int $index): array => $this->arrangements[$index], $this->found);

        return [[] === $found ? null : $found, $all];
    }

    /**
     * @param list<int> $chosen
     */
    private function search(array $chosen, int $left, int $from, float $cost): bool
    {
        if (0 === $left) {
            $this->best = $cost - 1e-9;
            $this->found = $chosen;

            return true;
        }
        for ($index = $from, $n = \count($this->arrangements); $index < $n; ++$index) {
            if (0 === ++$this->steps % self::STRIDE && $this->limit->isReached()) {
                return false;
            }
            $more = $this->costs[$index];
            foreach ($this->pairs[$index] as $pair) {
                $more += $this->weight * $this->next[$pair];
            }
            if ($cost + $more + ($left - 1) * $this->cheapest >= $this->best) {
                continue;
            }
            $this->meet($index, 1.0);
            $done =
                $cost + $more + ($left - 1) * $this->cheapest + $this->weight * $this->leastToCome($index, $left - 1) >=
                    $this->best || $this->search([...$chosen, $index], $left - 1, $index, $cost + $more);
            $this->meet($index, -1.0);
            if (!$done) {
                return false;
            }
        }

        return true;
    }

    private function meet(int $index, float $times): void
    {
        foreach ($this->pairs[$index] as $pair) {
            $this->next[$pair] += $times;
        }
    }

    /**
     * As if the meetings to come could go to the cheapest pairs.
     */
    private function leastToCome(int $index, int $rounds): float
    {
        $meetings = $rounds * \count($this->pairs[$index]);
        if (0 === $meetings) {
            return 0.0;
        }
        $steps = [];
        foreach ($this->next as $cost) {
            for ($time = 0; $time < $rounds; ++$time) {
                $steps[] = $cost + $time;
            }
        }
        sort($steps);

        return array_sum(\array_slice($steps, 0, $meetings));
    }
}
