<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Seating;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * For spread of values that are not numbers: each group's distance from its fair share of each value.
 */
final class SharesTally extends ValueCounts implements Tally
{
    /** @var array<int, list<array{int, int}>> size => fair share of each value */
    private array $shares = [];

    public function __construct(private readonly Setting $setting, string $attribute)
    {
        parent::__construct($setting, $attribute);
    }

    public function delta(Seating $seating, int $i, int $j): float
    {
        $x = $this->codes[$i] ?? null;
        $y = $this->codes[$j] ?? null;
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        if ($i >= $seating->students || $j >= $seating->students) {
            return $this->moveDelta($seating, $a, $b, $x, $y, $i >= $seating->students ? 1 : -1);
        }
        if ($x === $y) {
            return 0.0;
        }
        $change = 0;
        if (null !== $x) {
            $change += $this->step($a, $seating->size[$a], $x, -1) + $this->step($b, $seating->size[$b], $x, 1);
        }
        if (null !== $y) {
            $change += $this->step($a, $seating->size[$a], $y, 1) + $this->step($b, $seating->size[$b], $y, -1);
        }

        return (float) $change;
    }

    /**
     * One of the two is a vacancy: both groups change size, and with it every fair share.
     *
     * @param -1|1 $grows by how much the first group grows
     */
    private function moveDelta(Seating $seating, int $a, int $b, ?int $x, ?int $y, int $grows): float
    {
        $change = 0;
        foreach ($this->counts as $code => $_) {
            $more = ($code === $y ? 1 : 0) - ($code === $x ? 1 : 0);
            $change += $this->distance($seating->size[$a] + $grows, $code, $this->here[$a][$code] + $more) - $this->distance($seating->size[$a], $code, $this->here[$a][$code])
                + $this->distance($seating->size[$b] - $grows, $code, $this->here[$b][$code] - $more) - $this->distance($seating->size[$b], $code, $this->here[$b][$code]);
        }

        return (float) $change;
    }

    /**
     * @param -1|1 $by
     */
    private function step(int $group, int $size, int $code, int $by): int
    {
        $now = $this->here[$group][$code];
        [$least, $most] = ($this->shares[$size] ??= $this->sharesOf($size))[$code];
        if ($by > 0) {
            return $now >= $most ? 1 : ($now < $least ? -1 : 0);
        }

        return $now <= $least ? 1 : ($now > $most ? -1 : 0);
    }

    /**
     * @return list<array{int, int}>
     */
    private function sharesOf(int $size): array
    {
        return array_map(fn (int $all): array => Spread::share($all, $size, $this->setting->n), $this->counts);
    }

    private function distance(int $size, int $code, int $count): int
    {
        [$least, $most] = ($this->shares[$size] ??= $this->sharesOf($size))[$code];

        return max(0, $least - $count, $count - $most);
    }
}
