<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * An arrangement while it is being worked on. Every group has as many places as the largest; places that nobody has are
 * held by vacancies, numbered from n on, so that a move is a swap with a vacancy.
 */
final class Arrangement
{
    /** @var array<int, int> student or vacancy => group */
    public array $groupOf = [];

    /** @var array<int, array<int, int>> group => its students and vacancies */
    public array $members = [];

    /** @var array<int, int> student or vacancy => place in its group's list */
    private array $place = [];

    /** @var array<int, int> group => how many students */
    public array $size = [];

    /** Students and vacancies. */
    public int $all = 0;

    /**
     * @param list<list<int>> $groups
     */
    public function __construct(array $groups, public readonly int $students)
    {
        $places = max([1, ...array_map('count', $groups)]);
        $vacancy = $students;
        foreach ($groups as $g => $group) {
            $this->size[$g] = \count($group);
            while (\count($group) < $places) {
                $group[] = $vacancy++;
            }
            $this->members[$g] = $group;
            foreach ($group as $place => $i) {
                $this->groupOf[$i] = $g;
                $this->place[$i] = $place;
            }
        }
        ksort($this->groupOf);
        $this->all = $vacancy;
    }

    /**
     * Whether a swap leaves the sizes as they are, give or take which group has which.
     */
    public function keepsSizes(int $i, int $j): bool
    {
        if ($i < $this->students) {
            return $j < $this->students || $this->size[$this->groupOf[$j]] + 1 === $this->size[$this->groupOf[$i]];
        }

        return $j < $this->students && $this->size[$this->groupOf[$i]] + 1 === $this->size[$this->groupOf[$j]];
    }

    public function swap(int $i, int $j): void
    {
        $a = $this->groupOf[$i];
        $b = $this->groupOf[$j];
        $this->members[$a][$this->place[$i]] = $j;
        $this->members[$b][$this->place[$j]] = $i;
        [$this->place[$i], $this->place[$j]] = [$this->place[$j], $this->place[$i]];
        $this->groupOf[$i] = $b;
        $this->groupOf[$j] = $a;
        if ($i >= $this->students) {
            ++$this->size[$a];
            --$this->size[$b];
        }
        if ($j >= $this->students) {
            --$this->size[$a];
            ++$this->size[$b];
        }
    }

    /**
     * @return list<list<int>> the students of each group, by number
     */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->members as $members) {
            $group = array_values(array_filter($members, fn (int $i): bool => $i < $this->students));
            sort($group);
            $groups[] = $group;
        }

        return $groups;
    }
}
