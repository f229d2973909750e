<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\Shape;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Places at random: fixed students stay in their group, all the others are shuffled (Fisher and Yates, 1938, as PHP's
 * Randomizer does it) and dealt into the seats that are left, so every way of filling them is equally likely.
 */
final readonly class Deal implements Method
{
    /**
     * Complexity: O(n log n + g log g) for n students and g groups.
     */
    public function place(Floor $floor, array $students, Shape $shape, int $seed, callable $newId): Floor
    {
        $sizes = $shape->sizes(\count($students));
        $stay = [];
        foreach ($floor->groups as $group) {
            $stay[$group->id] = array_values(array_intersect($group->students, $floor->fixed, $students));
        }
        $groups = self::tables($floor, $stay, \count($sizes), $newId);
        $sizes = self::sizesFor($groups, $stay, $sizes);

        $waiting = array_values(array_diff($students, ...array_values($stay)));
        sort($waiting, \SORT_STRING); // the answer depends on who is there, not on the order of the list
        $waiting = (new Randomizer(new Xoshiro256StarStar($seed)))->shuffleArray($waiting);

        $dealt = [];
        foreach ($groups as $i => $group) {
            $own = $stay[$group->id] ?? [];
            $dealt[] = $group->seating([...$own, ...array_splice($waiting, 0, $sizes[$i] - \count($own))]);
        }

        return new Floor($dealt, array_values(array_intersect($floor->fixed, $students)));
    }

    /**
     * The tables that stay, in their order: first those with fixed seats, then as many others as are wanted.
     *
     * @param array<string, list<string>> $stay
     * @param callable(): string          $newId
     *
     * @return list<Group>
     *
     * @throws ImpossibleShape if more tables hold fixed seats than are wanted
     */
    private static function tables(Floor $floor, array $stay, int $wanted, callable $newId): array
    {
        $needed = \count(array_filter($stay, static fn (array $own): bool => [] !== $own));
        if ($needed > $wanted) {
            throw ImpossibleShape::fixedSeatsNeedGroups($needed, $wanted);
        }
        $spare = $wanted - $needed;
        $groups = [];
        foreach ($floor->groups as $group) {
            if ([] !== $stay[$group->id] || --$spare >= 0) {
                $groups[] = $group;
            }
        }
        $tables = new Floor($groups);
        while (\count($tables->groups) < $wanted) {
            $tables = $tables->withTable($newId());
        }

        return $tables->groups;
    }

    /**
     * Gives the larger sizes to the tables that need them. A table with more fixed seats than any size keeps them all,
     * and the largest others give up a seat each.
     *
     * @param list<Group>                 $groups
     * @param array<string, list<string>> $stay
     * @param list<int>                   $sizes  the larger first
     *
     * @return list<int> a size a table
     */
    private static function sizesFor(array $groups, array $stay, array $sizes): array
    {
        $held = array_map(static fn (Group $group): int => \count($stay[$group->id] ?? []), $groups);
        $order = array_keys($groups);
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
