<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Shape\Exactly;

/**
 * Brings a method's answer onto a floor: tables keep their ids, names and marks, fixed students keep their seats, and
 * who stays at a table keeps the place in its row.
 */
final readonly class Placement
{
    /**
     * @param list<Group>  $tables   those that stand on the floor afterwards
     * @param list<int>    $sizes    a size a table
     * @param list<string> $students ids of those to be seated
     */
    private function __construct(
        private Floor $floor,
        public array $tables,
        private array $sizes,
        private array $students,
    ) {
    }

    /**
     * @param list<string>       $students ids of those to be seated, each once
     * @param callable(): string $newId    an id for a table that is not there yet, another at each call
     * @param list<string>       $names    what new tables are called, in this order
     *
     * @throws ImpossibleShape
     *
     * Complexity: O(n + g²) for n students and g groups
     */
    public static function ontoFloor(
        Floor $floor,
        array $students,
        Shape $shape,
        callable $newId,
        array $names = [],
    ): self {
        $sizes = $shape->sizes(\count($students));
        $stay = [];
        foreach ($floor->groups as $group) {
            $stay[$group->id] = \count(array_intersect($group->students, $floor->fixed, $students));
        }
        $tables = self::tables($floor, $stay, \count($sizes), $newId, $names);

        return new self($floor, $tables, self::sizesFor($tables, $stay, $sizes), $students);
    }

    public function shape(): Shape
    {
        return new Exactly($this->sizes);
    }

    /**
     * @return list<Rule> fixed seats as rules, by the number of the table
     */
    public function fixedSeats(): array
    {
        $rules = [];
        foreach ($this->tables as $number => $table) {
            foreach (array_intersect($table->students, $this->floor->fixed, $this->students) as $student) {
                $rules[] = new Seat($student, $number + 1);
            }
        }

        return $rules;
    }

    /**
     * @param list<list<string>> $groups  ids, a list a table
     * @param bool               $inOrder seats are numbered in the order of the lists; otherwise who stays sits first,
     *     in the order they sat
     */
    public function floor(array $groups, bool $inOrder = false): Floor
    {
        $seated = [];
        foreach ($this->tables as $number => $table) {
            $members = $groups[$number] ?? [];
            $stay = $inOrder
                ? array_intersect($table->students, $this->floor->fixed, $members)
                : array_intersect($table->students, $members);
            $seated[] = $table->seating(array_values([...$stay, ...array_diff($members, $stay)]));
        }

        return new Floor($seated, array_values(array_intersect($this->floor->fixed, $this->students)));
    }

    /**
     * The tables that stay, in their order: first those with fixed seats, then as many others as are wanted.
     *
     * @param array<string, int> $stay  table => fixed seats
     * @param callable(): string $newId
     * @param list<string>       $names
     *
     * @return list<Group>
     *
     * @throws ImpossibleShape if more tables hold fixed seats than are wanted
     */
    private static function tables(Floor $floor, array $stay, int $wanted, callable $newId, array $names): array
    {
        $needed = \count(array_filter($stay, static fn (int $fixed): bool => $fixed > 0));
        if ($needed > $wanted) {
            throw ImpossibleShape::fixedSeatsNeedGroups($needed, $wanted);
        }
        $spare = $wanted - $needed;
        $groups = [];
        foreach ($floor->groups as $group) {
            if ($stay[$group->id] > 0 || --$spare >= 0) {
                $groups[] = $group;
            }
        }
        $tables = new Floor($groups);
        while (\count($tables->groups) < $wanted) {
            $tables = $tables->withTable($newId(), $names);
        }

        return $tables->groups;
    }

    /**
     * Gives the larger sizes to the tables that need them. A table with more fixed seats than any size keeps them all,
     * and the largest others give up a seat each.
     *
     * @param list<Group>        $tables
     * @param array<string, int> $stay
     * @param list<int>          $sizes  the larger first
     *
     * @return list<int> a size a table
     */
    private static function sizesFor(array $tables, array $stay, array $sizes): array
    {
        $held = array_map(static fn (Group $group): int => $stay[$group->id] ?? 0, $tables);
        $order = array_keys($tables);
        usort($order, static fn (int $a, int $b): int => [$held[$b], $a] <=> [$held[$a], $b]);
        $given = [];
        foreach ($order as $rank => $i) {
            $given[$i] = $sizes[$rank];
        }
        foreach ($order as $i) {
            while ($given[$i] < $held[$i]) {
                $donor = self::largestWithSpare($given, $held);
                --$given[$donor];
                ++$given[$i];
            }
        }
        ksort($given);

        return array_values($given);
    }

    /**
     * @param array<int, int> $given
     * @param list<int>       $held
     */
    private static function largestWithSpare(array $given, array $held): int
    {
        $best = -1;
        foreach ($given as $i => $size) {
            if ($size > $held[$i] && ($best < 0 || $size > $given[$best])) {
                $best = $i;
            }
        }
        \assert($best >= 0, 'The sizes add up to the students, so somewhere a seat is not held.');

        return $best;
    }
}
