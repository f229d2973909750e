<?php

/**
 * What the ready check takes, over plain descriptions of lessons with links of the teacher's own: median of many runs,
 * by students and groups. Prints figures; fails nothing.
 */

declare(strict_types=1);

require dirname(__DIR__) . '/vendor/autoload.php';

use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedCopy;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\PlannedMaterial;
use FreshHuddle\Core\Ready\PlannedRoom;
use FreshHuddle\Core\Ready\ReadyCheck;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

const MATERIALS = 5;
const RUNS = 200;

foreach ([[28, 6], [150, 30], [400, 100], [1_200, 300]] as [$students, $groups]) {
    $names = $tables = $rooms = $materials = $copies = [];
    foreach (range(1, $students) as $i) {
        $names["s{$i}"] = "Student {$i}";
    }
    foreach (range(1, $groups) as $g) {
        $tables[] = new PlannedGroup(
            "g{$g}",
            "Group {$g}",
            array_values(
                array_filter(
                    array_keys($names),
                    static fn(string $id): bool => 0 === ((int) substr($id, 1) - $g) % $groups,
                ),
            ),
        );
        $rooms[] = new PlannedRoom(
            "g{$g}",
            "Room {$g}",
            RoomState::Made,
            SourceKind::OwnLinks,
            false,
            Link::read("https://rooms.example/{$g}"),
            true,
        );
    }
    foreach (range(1, MATERIALS) as $m) {
        $materials[] = new PlannedMaterial(
            "o{$m}",
            "Original {$m}",
            variants: array_map(static fn(int $g): string => "Part {$g}", range(1, $groups)),
            gets: array_combine(
                array_map(static fn(PlannedGroup $group): string => $group->id, $tables),
                array_map(static fn(int $g): string => "Part {$g}", range(1, $groups)),
            ),
        );
        foreach ($tables as $group) {
            $copies[] = new PlannedCopy("c{$m}{$group->id}", 'Copy', "o{$m}", $group->id, null);
        }
    }
    $plan = new Plan(
        $names,
        $tables,
        $rooms,
        $materials,
        $copies,
        [[SegmentKind::Round, 25], [SegmentKind::ShareOut, 15]],
        source: SourceKind::OwnLinks,
        mayDiffer: 9,
        roundMinutes: 400,
        minutes: 500,
    );
    $check = ReadyCheck::standard();
    $took = [];
    for ($i = 0; $i < RUNS; ++$i) {
        $began = hrtime(true);
        $found = $check->run($plan);
        $took[] = (hrtime(true) - $began) / 1e6;
    }
    sort($took);
    printf(
        "%5d students, %3d groups: %.2f ms, at most %.2f ms (%d findings)\n",
        $students,
        $groups,
        $took[intdiv(RUNS, 2)],
        end($took),
        count($found),
    );
}
