<?php

/**
 * The minds of a class of simulated students, for a load generator that has hands and eyes: reads what pages show, a
 * line of JSON at a time, and answers what the students do. The first line says who they are.
 *
 * {"seed": 1, "begins": 0, "minutes": 10, "young": false, "names": ["Ada", …]}
 * {"now": 5000, "looks": [[0, {…what a Sight has…}], …]} -> {"acts": [[0, "go", "", "main", null], …], "again": [[0, 9000], …]}
 */

declare(strict_types=1);

require dirname(__DIR__, 2) . '/vendor/autoload.php';

use FreshHuddle\Core\DryRun\Behaviours;
use FreshHuddle\Core\DryRun\Blank;
use FreshHuddle\Core\DryRun\Mind;
use FreshHuddle\Core\DryRun\Sight;

$read = static function (): ?array {
    $line = fgets(STDIN);

    return $line === false ? null : json_decode($line, true, 16, JSON_THROW_ON_ERROR);
};
$class = $read() ?? exit(2);
$minds = [];
foreach ($class['names'] as $i => $name) {
    $behaviour = Behaviours::draw($class['seed'], (string) $i, $name, $class['minutes'], $class['young']);
    $minds[$i] = new Mind($behaviour, $class['begins'], $class['seed'], (string) $i);
}
while (null !== ($asked = $read())) {
    $acts = $again = [];
    foreach ($asked['looks'] as [$i, $shown]) {
        $blanks = array_map(
            static fn(array $blank): Blank => new Blank(
                $blank['slot'],
                $blank['own'],
                15,
                60,
                $blank['filled'],
                $blank['taken'],
            ),
            $shown['blanks'],
        );
        $sight = new Sight(
            $shown['isIn'],
            $shown['place'],
            $shown['since'],
            $shown['fetchedAt'],
            false,
            $shown['isWorking'],
            $shown['leavesAt'],
            $blanks,
            $shown['isCalling'],
            $shown['isHelped'],
        );
        foreach ($minds[$i]->look($sight, $asked['now']) as $act) {
            $acts[] = [$i, $act->kind->value, $act->text, $act->place, $act->slot];
        }
        $again[] = [$i, min($minds[$i]->again, $asked['now'] + 3_600_000)];
    }
    echo json_encode(['acts' => $acts, 'again' => $again], JSON_THROW_ON_ERROR), "\n";
}
