<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * How often each value of an attribute comes up in each group.
 */
abstract class ValueCounts
{
    /** @var array<int, int> student => value */
    protected readonly array $codes;

    /** @var list<int> how many in the class have each value */
    protected readonly array $counts;

    /** @var array<int, array<int, int>> group => value => how many */
    protected array $here = [];

    public function __construct(Setting $setting, string $attribute)
    {
        [$this->codes, $this->counts] = $setting->codes($attribute);
    }

    public function load(Arrangement $seating): void
    {
        foreach ($seating->members as $g => $members) {
            $this->here[$g] =
                array_count_values(array_intersect_key($this->codes, array_flip($members))) +
                array_fill(0, \count($this->counts), 0);
        }
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        if (isset($this->codes[$i])) {
            --$this->here[$a][$this->codes[$i]];
            ++$this->here[$b][$this->codes[$i]];
        }
        if (isset($this->codes[$j])) {
            ++$this->here[$a][$this->codes[$j]];
            --$this->here[$b][$this->codes[$j]];
        }
    }
}
