<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * How many of each student's wishes sit with them. Complexity of a swap: O(size of the groups).
 */
final class WishesTally implements Tally
{
    /** @var array<int, int> student with wishes => how many of them are in the same group */
    private array $met = [];

    /**
     * @param array<int, array<int, true>> $wishes
     */
    public function __construct(private readonly array $wishes)
    {
    }

    public function load(Arrangement $seating): void
    {
        foreach ($this->wishes as $i => $wished) {
            $group = $seating->groupOf[$i];
            $this->met[$i] = \count(
                array_filter(array_keys($wished), static fn (int $j): bool => $seating->groupOf[$j] === $group),
            );
        }
    }

    public function delta(Arrangement $seating, int $i, int $j): float
    {
        $change = 0;
        foreach ($this->changes($seating, $i, $j) as $x => $met) {
            $change += (0 === $met ? 1 : 0) - (0 === $this->met[$x] ? 1 : 0);
        }

        return (float) $change;
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        foreach ($this->changes($seating, $i, $j) as $x => $met) {
            $this->met[$x] = $met;
        }
    }

    /**
     * @return array<int, int> student => how many wishes they would have with them
     */
    private function changes(Arrangement $seating, int $i, int $j): array
    {
        $changes = [];
        foreach ([[$i, $j], [$j, $i]] as [$leaves, $comes]) {
            $goesTo = 0;
            $wishes = $this->wishes[$comes] ?? null;
            foreach ($seating->members[$seating->groupOf[$leaves]] as $x) {
                if ($x === $leaves) {
                    continue;
                }
                if (null !== $wishes && isset($wishes[$x])) {
                    ++$goesTo;
                }
                $own = $this->wishes[$x] ?? null;
                if (null !== $own) {
                    $more = (isset($own[$comes]) ? 1 : 0) - (isset($own[$leaves]) ? 1 : 0);
                    if (0 !== $more) {
                        $changes[$x] = $this->met[$x] + $more;
                    }
                }
            }
            if (null !== $wishes) {
                $changes[$comes] = $goesTo;
            }
        }

        return $changes;
    }
}
