<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Goal;

/**
 * Improves arrangements by swaps (simulated annealing: Kirkpatrick, Gelatt and Vecchi, 1983), in runs that get longer:
 * a descent first, then warm starts from the best so far. Every state keeps the rules.
 *
 * Complexity: a step costs what a swap changes, whatever n is.
 */
final class Annealing
{
    /** Steps between two looks at limit and temperature. */
    private const STRIDE = 64;
    private const LONGEST_RUN = 500_000;
    /** Runs of full length in a row that bring nothing, after which the search ends by itself. */
    private const PATIENCE = 6;
    /** How warm the runs start, as parts of what a swap usually changes: mostly lukewarm, now and then hot. */
    private const WARMTHS = [0.05, 0.05, 0.12, 0.05, 0.3];
    private const SMALL = 1e-9;

    /** @var list<Board> */
    private array $boards = [];

    private float $best = \INF;

    /** @var list<list<list<int>>> */
    private array $bestRounds = [];

    private float $cost = 0.0;

    /**
     * @param list<Goal> $goals
     */
    public function __construct(
        private readonly Setting $setting,
        private readonly Musts $musts,
        private readonly array $goals,
        private readonly Dice $dice,
        private readonly Limit $limit,
    ) {
    }

    /**
     * @param list<list<list<int>>> $rounds     arrangements that keep the rules
     * @param float                 $lowerBound no better is possible, so that it is time to stop
     *
     * @return \Generator<int, list<list<list<int>>>> better and better ones; the first is the given one
     */
    public function improve(array $rounds, float $lowerBound): \Generator
    {
        $this->begin($rounds);
        yield $rounds;
        $length = max(2_000, 20 * $this->setting->n * \count($rounds));
        $warmth = 0.0;
        $runs = $idle = 0;
        $heat = $this->typicalChange();
        while (
            $this->best > $lowerBound + self::SMALL
            && !$this->limit->isReached()
            && $this->setting->groups() > 1
        ) {
            $before = $this->best;
            $this->run($length, $warmth * $heat, $lowerBound);
            if ($this->best < $before - self::SMALL) {
                $idle = 0;
                yield $this->bestRounds;
            } elseif ($length >= self::LONGEST_RUN && ++$idle >= self::PATIENCE) {
                return;
            }
            $this->restart();
            $warmth = self::WARMTHS[$runs++ % \count(self::WARMTHS)];
            $length = min(self::LONGEST_RUN, (int) (1.6 * $length));
        }
    }

    /**
     * @param list<list<list<int>>> $rounds
     */
    private function begin(array $rounds): void
    {
        $tallies = array_fill(0, \count($rounds), []);
        foreach ($this->goals as $goal) {
            if ($goal->weight() > 0.0) {
                foreach ($goal->tallies($this->setting, \count($rounds)) as $round => $tally) {
                    $tallies[$round][] = [$goal->weight(), $tally];
                }
            }
        }
        $this->boards = [];
        foreach ($rounds as $round => $groups) {
            $this->boards[] = new Board($groups, $this->musts, $tallies[$round]);
        }
        $this->bestRounds = $rounds;
        $this->best = $this->cost = (new Evaluation($this->setting, $this->goals))->cost($rounds);
    }

    private function restart(): void
    {
        foreach ($this->boards as $round => $board) {
            $board->load($this->bestRounds[$round]);
        }
        // Counted anew, so that rounding does not add up.
        $this->best = $this->cost = (new Evaluation($this->setting, $this->goals))->cost($this->bestRounds);
    }

    private function run(int $length, float $warm, float $lowerBound): void
    {
        $temperature = $warm;
        $cooling = $warm > 0.0 ? 0.002 ** (self::STRIDE / $length) : 0.0;
        for ($step = 0; $step < $length; $step += self::STRIDE) {
            for ($i = 0; $i < self::STRIDE; ++$i) {
                $this->step($temperature);
            }
            $temperature *= $cooling;
            if ($this->cost < $this->best - self::SMALL) {
                $this->keep();
                if ($this->best <= $lowerBound + self::SMALL) {
                    return;
                }
            }
            if ($this->limit->isReached()) {
                return;
            }
        }
    }

    private function keep(): void
    {
        $this->best = $this->cost;
        $this->bestRounds = array_map(static fn (Board $board): array => $board->seating->groups(), $this->boards);
    }

    private function step(float $temperature): void
    {
        $board = $this->boards[1 === \count($this->boards) ? 0 : $this->dice->below(\count($this->boards))];
        $all = $board->seating->all;
        $i = $this->dice->below($all);
        $j = $this->dice->below($all);
        if ($board->isInBlock($i) || $board->isInBlock($j)) {
            $this->exchange(
                $board,
                $board->isInBlock($i) ? $i : $j,
                $board->seating->groupOf[$board->isInBlock($i) ? $j : $i],
                $temperature,
            );

            return;
        }
        if (!$board->allows($i, $j)) {
            return;
        }
        $delta = $board->delta($i, $j);
        if ($this->accepts($delta, $temperature)) {
            $board->swap($i, $j);
            $this->cost += $delta;
        }
    }

    private function exchange(Board $board, int $student, int $group, float $temperature): void
    {
        $swaps =
            $board->seating->groupOf[$student] === $group ? null : $board->exchange($student, $group, $this->dice);
        if (null === $swaps) {
            return;
        }
        $delta = 0.0;
        foreach ($swaps as [$i, $j]) {
            $delta += $board->delta($i, $j);
            $board->swap($i, $j);
        }
        if ($this->accepts($delta, $temperature)) {
            $this->cost += $delta;

            return;
        }
        foreach (array_reverse($swaps) as [$i, $j]) {
            $board->swap($i, $j);
        }
    }

    private function accepts(float $delta, float $temperature): bool
    {
        return $delta <= 0.0 || ($temperature > 0.0 && $this->dice->fraction() < exp(-$delta / $temperature));
    }

    /**
     * How much a swap changes the cost by, on average over those that change it.
     */
    private function typicalChange(): float
    {
        $sum = 0.0;
        $count = 0;
        for ($try = 0; $try < 400; ++$try) {
            $board = $this->boards[$this->dice->below(\count($this->boards))];
            $i = $this->dice->below($board->seating->all);
            $j = $this->dice->below($board->seating->all);
            if ($board->allows($i, $j)) {
                $delta = abs($board->delta($i, $j));
                if ($delta > self::SMALL) {
                    $sum += $delta;
                    ++$count;
                }
            }
        }

        return 0 === $count ? 1.0 : $sum / $count;
    }
}
