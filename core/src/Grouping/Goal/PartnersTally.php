<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * Meetings of one round. A pair that has met m times in all costs m(m − 1)/2 and m times its history, so that one
 * meeting more costs what stands in the table, and one less saves that less one. Complexity of a swap: O(size of the
 * groups).
 */
final class PartnersTally implements Tally
{
    /** The arrangement whose meetings are in the table. */
    private ?Arrangement $counted = null;

    public function __construct(private readonly Meetings $meetings)
    {
    }

    public function load(Arrangement $seating): void
    {
        if (null !== $this->counted) {
            $this->count($this->counted, -1.0);
        }
        $this->count($seating, 1.0);
        $this->counted = $seating;
    }

    public function delta(Arrangement $seating, int $i, int $j): float
    {
        $n = $seating->students;
        $metI = $this->meetings->met[$i] ?? [];
        $metJ = $this->meetings->met[$j] ?? [];
        $change = 0.0;
        foreach ($seating->members[$seating->groupOf[$i]] as $x) {
            if ($x < $n && $x !== $i) {
                $change += ($j < $n ? $metJ[$x] ?? 0.0 : 0.0) - ($i < $n ? ($metI[$x] ?? 1.0) - 1.0 : 0.0);
            }
        }
        foreach ($seating->members[$seating->groupOf[$j]] as $x) {
            if ($x < $n && $x !== $j) {
                $change += ($i < $n ? $metI[$x] ?? 0.0 : 0.0) - ($j < $n ? ($metJ[$x] ?? 1.0) - 1.0 : 0.0);
            }
        }

        return $change;
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        $n = $seating->students;
        foreach ([[$i, $j], [$j, $i]] as [$leaves, $comes]) {
            foreach ($seating->members[$seating->groupOf[$leaves]] as $x) {
                if ($x < $n && $x !== $leaves) {
                    if ($leaves < $n) {
                        $this->meetings->count($leaves, $x, -1.0);
                    }
                    if ($comes < $n) {
                        $this->meetings->count($comes, $x, 1.0);
                    }
                }
            }
        }
    }

    private function count(Arrangement $seating, float $times): void
    {
        foreach ($seating->groups() as $group) {
            foreach ($group as $at => $i) {
                foreach (\array_slice($group, $at + 1) as $j) {
                    $this->meetings->count($i, $j, $times);
                }
            }
        }
    }
}
