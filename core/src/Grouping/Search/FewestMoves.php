<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Problem\Disturbance;

/**
 * Puts a disturbed arrangement right with the fewest moves: tried with none, with one, with two, … (iterative
 * deepening: Korf, 1985). Each step picks something that is wrong and tries every way to mend it, so that with the
 * least number of moves every arrangement there is has been seen; the one with the least goal cost wins, then the one
 * with the most even groups.
 */
final class FewestMoves
{
    private const STEPS = 150_000;
    /** So many steps are taken whatever the limit says: there has to be an answer. */
    private const LEAST_STEPS = 5_000;
    /** Ways to seat all arrivals up to which they are tried together. */
    private const MOST_WAYS = 4_000;

    private readonly Evaluation $evaluation;

    /** @var array<string, true> arrangements seen with the present number of moves */
    private array $seen = [];

    /** @var array{float, int, array<int, int>}|null */
    private ?array $best = null;

    private int $steps = 0;
    private bool $ranOut = false;

    /** @var list<int> */
    private array $start = [];

    /**
     * @param list<Goal> $goals
     */
    public function __construct(
        private readonly Setting $setting,
        private readonly Musts $musts,
        array $goals,
        private readonly Disturbance $disturbance,
        private readonly Limit $limit,
    ) {
        $this->evaluation = new Evaluation($setting, $goals);
    }

    /**
     * @param list<int> $start student => group, −1 for who has no seat yet
     *
     * @return array<int, int>|null student => group; null where none was found
     */
    public function find(array $start): ?array
    {
        $arrivals = \count(array_keys($start, -1, true));
        if ($this->setting->groups() ** $arrivals <= self::MOST_WAYS) {
            $groupOf = $this->deepen($start);
            if (null !== $groupOf || !$this->ranOut || 0 === $arrivals) {
                return $groupOf;
            }
        }
        $this->ranOut = true;

        return $this->oneByOne($start);
    }

    /**
     * Whether the answer is known to be the best.
     */
    public function looksAtAll(): bool
    {
        return !$this->ranOut;
    }

    /**
     * @param list<int> $start
     *
     * @return array<int, int>|null
     */
    private function deepen(array $start): ?array
    {
        $this->start = $start;
        $this->steps = self::STEPS;
        $this->best = null;
        if ($this->musts->impossible) {
            return null;
        }
        for ($moves = 0; $moves <= $this->setting->n && null === $this->best && $this->steps > 0; ++$moves) {
            $this->seen = [];
            $this->mend($start, $moves);
        }
        $this->ranOut = $this->ranOut || $this->steps <= 0;

        return $this->best[2] ?? null;
    }

    /**
     * Too much at once: arrivals are seated one after the other, each with the fewest moves.
     *
     * @param list<int> $start
     *
     * @return array<int, int>|null
     */
    private function oneByOne(array $start): ?array
    {
        $waiting = array_keys($start, -1, true);
        $groups = $this->setting->groups();
        foreach ($waiting as $student) {
            $best = null;
            for ($group = 0; $group < $groups; ++$group) {
                $try = $start;
                $try[$student] = $group;
                $cost = [
                    $this->wrongs($try),
                    $this->evaluation->cost([$this->groups($try)]),
                    \count(array_keys($start, $group, true)),
                ];
                if (null === $best || $cost < $best[0]) {
                    $best = [$cost, $group];
                }
            }
            $start[$student] = $best[1] ?? 0;
        }

        return $this->deepen(array_values($start));
    }

    /**
     * @param array<int, int> $groupOf
     */
    private function wrongs(array $groupOf): int
    {
        return (null === $this->wrong($groupOf, false) ? 0 : 1) + ($this->musts->areKeptBy($groupOf) ? 0 : 1);
    }

    /**
     * @param array<int, int> $groupOf
     */
    private function mend(array $groupOf, int $moves): void
    {
        if (--$this->steps <= 0) {
            return;
        }
        if (0 === $this->steps % 64 && $this->steps < self::STEPS - self::LEAST_STEPS && $this->limit->isReached()) {
            $this->steps = 0;

            return;
        }
        $key = implode(',', $groupOf);
        if (isset($this->seen[$key])) {
            return;
        }
        $this->seen[$key] = true;
        $ways = $this->wrong($groupOf, true);
        if (null === $ways) {
            $this->note($groupOf);

            return;
        }
        foreach ($ways as [$student, $groups]) {
            $isMove = $this->start[$student] >= 0;
            if ($isMove && (0 === $moves || $groupOf[$student] !== $this->start[$student])) {
                continue; // nobody moves twice
            }
            if (!$isMove && $groupOf[$student] >= 0) {
                continue;
            }
            foreach ($groups as $group) {
                if ($group !== $groupOf[$student]) {
                    $next = $groupOf;
                    $next[$student] = $group;
                    $this->mend($next, $moves - ($isMove ? 1 : 0));
                }
            }
        }
    }

    /**
     * @param array<int, int> $groupOf
     */
    private function note(array $groupOf): void
    {
        $groups = $this->groups($groupOf);
        $cost = $this->evaluation->cost([$groups]);
        $uneven = (int) array_sum(array_map(static fn (array $group): int => \count($group) ** 2, $groups));
        if (
            null === $this->best
            || $cost < $this->best[0] - 1e-9
            || ($cost <= $this->best[0] + 1e-9 && $uneven < $this->best[1])
        ) {
            $this->best = [$cost, $uneven, $groupOf];
        }
    }

    /**
     * Something that is wrong, as the ways to mend it: students, each with the groups they might go to.
     *
     * @param array<int, int> $groupOf
     *
     * @return list<array{int, list<int>}>|null null where nothing is wrong
     */
    private function wrong(array $groupOf, bool $withArrivals): ?array
    {
        $all = range(0, $this->setting->groups() - 1);
        foreach ($groupOf as $student => $group) {
            if ($group < 0) {
                if ($withArrivals) {
                    return [[$student, $this->open($student, $all)]];
                }
                continue;
            }
            if (!$this->musts->admits($this->musts->unitOf[$student], $group)) {
                return [[$student, $this->open($student, $all)]];
            }
        }

        return $this->brokenPair($groupOf, $all) ?? $this->wrongSize($groupOf, $all);
    }

    /**
     * @param array<int, int> $groupOf
     * @param list<int>       $all
     *
     * @return list<array{int, list<int>}>|null
     */
    private function brokenPair(array $groupOf, array $all): ?array
    {
        foreach ($this->musts->units as $students) {
            foreach ($students as $student) {
                if (
                    $groupOf[$student] >= 0
                    && $groupOf[$students[0]] >= 0
                    && $groupOf[$student] !== $groupOf[$students[0]]
                ) {
                    return [[$student, $this->open($student, $all)], [$students[0], $this->open($students[0], $all)]];
                }
            }
        }
        foreach ($this->musts->apart as $students) {
            $there = [];
            foreach ($students as $student) {
                $group = $groupOf[$student];
                if ($group >= 0 && isset($there[$group])) {
                    return [
                        [$student, $this->open($student, $all)],
                        [$there[$group], $this->open($there[$group], $all)],
                    ];
                }
                $there[$group] = $student;
            }
        }

        return null;
    }

    /**
     * @param array<int, int> $groupOf
     * @param list<int>       $all
     *
     * @return list<array{int, list<int>}>|null
     */
    private function wrongSize(array $groupOf, array $all): ?array
    {
        $groups = $this->groups($groupOf);
        foreach ($groups as $group) {
            if (null !== $this->disturbance->maxSize && \count($group) > $this->disturbance->maxSize) {
                return array_map(fn (int $student): array => [$student, $this->open($student, $all)], $group);
            }
        }
        foreach ($groups as $g => $group) {
            if ([] !== $group && \count($group) < min($this->disturbance->minSize, $this->setting->n)) {
                $ways = array_map(fn (int $student): array => [$student, $this->open($student, $all)], $group);
                foreach ($groupOf as $student => $own) {
                    if ($own !== $g && $this->musts->admits($this->musts->unitOf[$student], $g)) {
                        $ways[] = [$student, [$g]];
                    }
                }

                return $ways;
            }
        }

        return null;
    }

    /**
     * @param list<int> $groups
     *
     * @return list<int> those the student may be in
     */
    private function open(int $student, array $groups): array
    {
        return array_values(
            array_filter(
                $groups,
                fn (int $group): bool => $this->musts->admits($this->musts->unitOf[$student], $group),
            ),
        );
    }

    /**
     * @param array<int, int> $groupOf
     *
     * @return list<list<int>>
     */
    private function groups(array $groupOf): array
    {
        $groups = array_fill(0, $this->setting->groups(), []);
        foreach ($groupOf as $student => $group) {
            if ($group >= 0) {
                $groups[$group][] = $student;
            }
        }

        return array_values($groups);
    }
}
