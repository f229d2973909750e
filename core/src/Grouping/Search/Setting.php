<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Goal\Distribution;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Student;

/**
 * The numbers behind a problem. Students are 0 to n − 1 in the order of the list, groups 0 to k − 1.
 */
final class Setting
{
    /** Standard deviations below it are none. */
    private const NO_SPREAD = 1e-12;

    public readonly int $n;

    /** @var array<string, int> id => number */
    public readonly array $index;

    /** @var array<string, array<int, float>|null> */
    private array $scores = [];

    /** @var array<string, array{array<int, int>, list<int>}> */
    private array $codes = [];

    /** @var array<string, Distribution> */
    private array $distributions = [];

    /** @var array<int, array<int, float>>|null */
    private ?array $met = null;

    /**
     * @param list<Student>            $students
     * @param list<int>                $sizes    larger first; which group has which is free
     * @param list<list<list<string>>> $history  the latest last
     */
    public function __construct(
        public readonly array $students,
        public readonly array $sizes,
        private readonly array $history = [],
    ) {
        $this->n = \count($students);
        $index = [];
        foreach ($students as $i => $student) {
            $index[$student->id] = $i;
        }
        $this->index = $index;
    }

    public static function fromProblem(Problem $problem, Shape $shape): self
    {
        return new self($problem->students, $shape->sizes(\count($problem->students)), $problem->history);
    }

    public function groups(): int
    {
        return \count($this->sizes);
    }

    /**
     * The values of a numeric attribute as standard scores: mean 0, variance 1 over those who have one.
     *
     * @return array<int, float>|null student => score, without those who have no value; all 0 where all values are the
     *     same; null where some value is not a number
     */
    public function scores(string $attribute): ?array
    {
        if (!\array_key_exists($attribute, $this->scores)) {
            $this->scores[$attribute] = $this->standardised($attribute);
        }

        return $this->scores[$attribute];
    }

    /**
     * @return array{array<int, int>, list<int>} student => number of their value, without those who have none; and how
     *     many have each value
     */
    public function codes(string $attribute): array
    {
        if (!isset($this->codes[$attribute])) {
            $numbers = $codes = $counts = [];
            foreach ($this->students as $i => $student) {
                $value = $student->attributes[$attribute] ?? null;
                if (null === $value) {
                    continue;
                }
                $code = $numbers[(string) $value] ??= \count($numbers);
                $codes[$i] = $code;
                $counts[$code] = ($counts[$code] ?? 0) + 1;
            }
            $this->codes[$attribute] = [$codes, array_values($counts)];
        }

        return $this->codes[$attribute];
    }

    /**
     * How the values of an attribute are distributed in the class.
     */
    public function distribution(string $attribute): Distribution
    {
        return $this->distributions[$attribute] ??= Distribution::forAttribute($this, $attribute);
    }

    /**
     * Who was together in the history, the last time counting 1, the time before ½, and so on. Sparse and symmetric.
     *
     * @return array<int, array<int, float>>
     */
    public function met(): array
    {
        if (null === $this->met) {
            $met = [];
            $counts = 1.0;
            foreach (array_reverse($this->history) as $grouping) {
                foreach ($grouping as $group) {
                    $members = array_values(array_intersect_key($this->index, array_flip($group)));
                    foreach ($members as $i) {
                        foreach ($members as $j) {
                            if ($i !== $j) {
                                $met[$i][$j] = ($met[$i][$j] ?? 0.0) + $counts;
                            }
                        }
                    }
                }
                $counts /= 2;
            }
            $this->met = $met;
        }

        return $this->met;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<int>
     */
    public function numbersOf(array $ids): array
    {
        return array_map(fn (string $id): int => $this->index[$id], $ids);
    }

    /**
     * @param list<list<int>> $groups
     *
     * @return list<list<string>>
     */
    public function idsOf(array $groups): array
    {
        return array_map(
            fn (array $group): array => array_map(fn (int $i): string => $this->students[$i]->id, $group),
            $groups,
        );
    }

    /**
     * @return array<int, float>|null
     */
    private function standardised(string $attribute): ?array
    {
        $values = [];
        foreach ($this->students as $i => $student) {
            $value = $student->attributes[$attribute] ?? null;
            if (null === $value) {
                continue;
            }
            if (\is_string($value)) {
                return null;
            }
            $values[$i] = (float) $value;
        }
        if ([] === $values) {
            return [];
        }
        $mean = array_sum($values) / \count($values);
        $centred = array_map(static fn (float $value): float => $value - $mean, $values);
        $deviation = sqrt(
            array_sum(array_map(static fn (float $value): float => $value ** 2, $centred)) / \count($values),
        );

        return array_map(
            static fn (float $value): float => $deviation <= self::NO_SPREAD * max(1.0, abs($mean))
                ? 0.0
                : $value / $deviation,
            $centred,
        );
    }
}
