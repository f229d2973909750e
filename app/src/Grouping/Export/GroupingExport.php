<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Export;

use FreshHuddle\App\Grouping\Desk\DeskView;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Print\PlanPdf;
use FreshHuddle\App\Print\PlanTable;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A grouping on paper and for other programs.
 */
final readonly class GroupingExport
{
    public function __construct(private Words $words, private PlanPdf $plan)
    {
    }

    public function csv(DeskView $desk): string
    {
        $rows = [
            array_map(fn (string $column): string => $this->words->say(new Message('grouping.export.'.$column)), [
                'number',
                'group',
                'seat',
                'student',
                'role',
                'task',
            ]),
        ];
        foreach (self::seats($desk) as [$number, $group, $seat, $name, $role, $task]) {
            $rows[] = [$number, $group, $seat, $name, $role, $task];
        }

        return SafeCsv::write($rows);
    }

    public function json(DeskView $desk): string
    {
        $groups = [];
        foreach (self::seats($desk) as [$number, $group, $seat, $name, $role, $task, $id]) {
            $groups[$number] ??= ['number' => $number, 'name' => $group, 'seats' => []];
            $groups[$number]['seats'][] = array_filter(
                ['number' => $seat, 'student' => $id, 'name' => $name, 'role' => $role, 'task' => $task],
                static fn (mixed $value): bool => '' !== $value,
            );
        }

        return OpenFormat::write('fresh-huddle/grouping', [
            'class' => $desk->className,
            'name' => $desk->name,
            'groups' => array_values($groups),
        ]);
    }

    /**
     * The plan of the floor: tables with their seats, to be read from a wall.
     */
    public function pdf(DeskView $desk): string
    {
        $tables = [];
        $seats = self::seats($desk);
        foreach ($desk->floor->groups as $group) {
            $tags = array_filter($seats, static fn (array $seat): bool => $seat[0] === $group->number);
            $tables[] = new PlanTable(
                $group->number,
                $group->name,
                $group->mark,
                array_values(
                    array_map(
                        static fn (array $seat): array => [
                            'seat' => $seat[2],
                            'name' => $seat[3],
                            'note' => implode(
                                ' · ',
                                array_filter([$seat[4], $seat[5]], static fn (string $text): bool => '' !== $text),
                            ),
                        ],
                        $tags,
                    ),
                ),
            );
        }

        return $this->plan->make($desk->name, $desk->className, $tables);
    }

    /**
     * @return list<array{int, string, int, string, string, string, string}> group number, group, seat, student, role,
     *     task, id
     */
    private static function seats(DeskView $desk): array
    {
        $names = [];
        foreach ($desk->students as $student) {
            if (!$student->absent) {
                $names[$student->id] = $student->name;
            }
        }
        $seats = [];
        foreach ($desk->floor->groups as $group) {
            foreach ($group->students as $i => $id) {
                if (isset($names[$id])) {
                    $seats[] = [
                        $group->number,
                        $group->name,
                        $i + 1,
                        $names[$id],
                        $desk->numbers->roleOf($i + 1),
                        $desk->numbers->taskOf($i + 1),
                        $id,
                    ];
                }
            }
        }

        return $seats;
    }
}
