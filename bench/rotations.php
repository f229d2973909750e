<?php

/**
 * How long a class can go on with new partners only: for every size a class can have and groups of 2 to 6, how many
 * rounds ours has without anybody meeting twice, how many there can be at most, and what one round more costs beside
 * the least it can cost. Prints the table of docs/decisions/rotations.md; fails nothing. FH_MS is what a search may
 * take, FH_FROM and FH_TO the classes.
 */

declare(strict_types=1);

require dirname(__DIR__) . '/vendor/autoload.php';

use FreshHuddle\App\Grouping\Proposal\ClockLimit;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Method\Balance;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Search\Rotation\Constructions;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Shape\Remainder;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;

$ms = (int) (getenv('FH_MS') ?: 1_000);

/**
 * @return array{int, float, float} how often a pair meets again, milliseconds, and the least it can be
 */
function rotation(int $n, Size $shape, int $rounds, int $ms): array
{
    $students = array_map(static fn(int $i): Student => new Student("s{$i}"), range(1, $n));
    $problem = new Problem($students, $shape, rounds: $rounds, goals: [new NewPartners()], seed: 7);
    $began = hrtime(true);
    $result = (new Balance())->solve($problem, new ClockLimit($ms));

    return [
        (int) round($result->cost),
        (hrtime(true) - $began) / 1e6,
        (new NewPartners())->lowerBound(Setting::fromProblem($problem, $shape), $rounds),
    ];
}

echo "| students | in groups of | sizes | at most | ours | by | one round more: meets again | at least |\n|---|---|---|---|---|---|---|---|\n";
for ($n = (int) (getenv('FH_FROM') ?: 6); $n <= (int) (getenv('FH_TO') ?: 36); ++$n) {
    for ($size = 2; $size <= 6; ++$size) {
        $shape = new Size($size, Remainder::Spread);
        $sizes = $shape->sizes($n);
        if (count($sizes) < 2) {
            continue;
        }
        $setting = new Setting(array_map(static fn(int $i): Student => new Student("s{$i}"), range(1, $n)), $sizes);
        for ($most = 1; (new NewPartners())->lowerBound($setting, $most + 1) <= 0.0; ++$most) {
        }
        for ($known = 1; null !== (new Constructions())->rounds($sizes, $known + 1); ++$known) {
        }
        $ours = $known;
        $took = 0.0;
        [$again, $time, $least] = [0, 0.0, 0.0];
        while ($ours < $most) {
            [$again, $time, $least] = rotation($n, $shape, $ours + 1, $ms);
            if ($again > 0) {
                break;
            }
            ++$ours;
            $took = $time;
        }
        if ($ours >= $most) {
            [$again, , $least] = rotation($n, $shape, $ours + 1, $ms);
        }
        $by = $ours === $known && $known > 1 ? 'construction' : sprintf('search, %.0f ms', $took);
        $parts = [];
        foreach (array_count_values($sizes) as $one => $times) {
            $parts[] = "{$times} × {$one}";
        }
        printf(
            "| %d | %d | %s | %d | %d | %s | %d | %d |\n",
            $n,
            $size,
            implode(', ', $parts),
            $most,
            $ours,
            1 === $ours ? '–' : $by,
            $again,
            (int) ceil($least - 1e-9),
        );
    }
}
