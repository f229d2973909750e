<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Export;

use Dompdf\Dompdf;
use Dompdf\Options;
use FreshHuddle\App\Grouping\Desk\DeskView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A grouping on paper and for other programs.
 */
final readonly class GroupingExport
{
    public function __construct(private Words $words)
    {
    }

    public function csv(DeskView $desk): string
    {
        $rows = [array_map(fn (string $column): string => $this->words->say(new Message('grouping.export.'.$column)), ['number', 'group', 'seat', 'student', 'role', 'task'])];
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
            $groups[$number]['seats'][] = array_filter(['number' => $seat, 'student' => $id, 'name' => $name, 'role' => $role, 'task' => $task], static fn (mixed $value): bool => '' !== $value);
        }

        return json_encode([
            'format' => 'fresh-huddle/grouping',
            'version' => 1,
            'class' => $desk->className,
            'name' => $desk->name,
            'groups' => array_values($groups),
        ], \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES)."\n";
    }

    /**
     * The plan of the floor: tables with their seats, to be read from a wall.
     */
    public function pdf(DeskView $desk): string
    {
        $e = static fn (string $text): string => htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
        $tables = [];
        foreach (self::seats($desk) as [$number, $group, $seat, $name, $role, $task]) {
            $tables[$number] ??= ['name' => $group, 'rows' => ''];
            $note = implode(' · ', array_filter([$role, $task], static fn (string $text): bool => '' !== $text));
            $tables[$number]['rows'] .= \sprintf('<tr><td class="n">%d</td><td>%s%s</td></tr>', $seat, $e($name), '' === $note ? '' : '<div class="note">'.$e($note).'</div>');
        }
        $many = \count($tables) > 12;
        $across = $many ? 5 : 3;
        $html = '';
        foreach (array_chunk($tables, $across, true) as $row) {
            $html .= '<tr>';
            foreach ($row as $number => $table) {
                $html .= \sprintf('<td class="cell"><div class="name">%d&nbsp; %s</div><table class="seats">%s</table></td>', $number, $e($table['name']), $table['rows']);
            }
            $html .= str_repeat('<td class="none"></td>', $across - \count($row)).'</tr>';
        }
        $options = new Options(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'defaultFont' => 'DejaVu Sans', 'tempDir' => sys_get_temp_dir(), 'fontCache' => sys_get_temp_dir()]);
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4', 'landscape');
        $pdf->loadHtml('<!doctype html><meta charset="utf-8"><style>
            @page { margin: 12mm; } body { font-family: "DejaVu Sans"; color: #1c2333; font-size: '.($many ? '8pt' : '11pt').'; }
            h1 { font-size: 18pt; margin: 0 0 1mm; } p { margin: 0 0 4mm; color: #555c6c; }
            .plan { width: 100%; border-collapse: separate; border-spacing: 4mm; page-break-inside: auto; } .cell { border: 0.6mm solid #1c2333; padding: 0; vertical-align: top; width: '.floor(100 / $across).'%; page-break-inside: avoid; }
            .name { background: #eef6b8; border-bottom: 0.4mm solid #1c2333; padding: 1.5mm 2.5mm; font-weight: bold; }
            .seats { width: 100%; border-collapse: collapse; } .seats td { padding: 0.8mm 2.5mm; vertical-align: top; } .n { width: 6mm; color: #555c6c; text-align: right; } .note { font-size: 80%; color: #555c6c; }
            </style><h1>'.$e($desk->name).'</h1><p>'.$e($desk->className).'</p><table class="plan">'.$html.'</table>', 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }

    /**
     * @return list<array{int, string, int, string, string, string, string}> group number, group, seat, student, role, task, id
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
                    $seats[] = [$group->number, $group->name, $i + 1, $names[$id], $desk->numbers->roleOf($i + 1), $desk->numbers->taskOf($i + 1), $id];
                }
            }
        }

        return $seats;
    }
}
