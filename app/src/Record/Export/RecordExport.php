<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Export;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Minutes;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Record\Correction\Corrections;
use FreshHuddle\Core\Record\Correction\Figure;
use FreshHuddle\Core\Record\Format\RecordFormat;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Points\PointsRule;
use FreshHuddle\Core\Record\StudentFigures;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * The record of a lesson for other programs: docs/formats/record.md.
 */
final readonly class RecordExport
{
    /** What each figure's column is called. */
    private const COLUMNS = [
        'inPlaceMs' => 'in_place',
        'elsewhereMs' => 'elsewhere',
        'awayMs' => 'away',
        'put' => 'put',
        'slots' => 'places',
        'calls' => 'calls',
        'calledOn' => 'called_on',
        'exitAnswered' => 'exit',
    ];

    public function __construct(private Words $words)
    {
    }

    public function json(Lesson $lesson, LessonRecord $record, Corrections $corrections, PointsRule $rule): string
    {
        return json_encode(
            RecordFormat::write($record, $lesson->title, $lesson->class->name, $corrections, $rule),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    /**
     * For the mark book: a line for each student; times in minutes with one decimal. Corrected figures stand where the
     * computed ones stood; what was computed is said in the last column.
     */
    public function csv(LessonRecord $record, Corrections $corrections, PointsRule $rule): string
    {
        $head = array_map($this->word(...), [
            'name', 'group', 'arrived', 'group_minutes', 'in_place', 'elsewhere', 'away', 'put', 'share', 'places',
            'calls', 'called_on', 'exit', 'spoke',
        ]);
        if ([] !== $rule->parts) {
            $head[] = $this->words->say(new Message('record.export.points', ['most' => $rule->most()]));
        }
        if ([] !== $corrections->all) {
            $head[] = $this->word('corrected');
        }
        $names = [];
        foreach ($record->groups as $group) {
            $names[$group->group] = $group->name;
        }
        $rows = [$head];
        foreach ($record->students as $one) {
            $row = $this->row($record, $one, $names[$one->group ?? ''] ?? '', $corrections);
            if ([] !== $rule->parts) {
                $row[] = $rule->points($one, $corrections)->sum;
            }
            if ([] !== $corrections->all) {
                $row[] = $this->corrected($one, $corrections);
            }
            $rows[] = $row;
        }

        return SafeCsv::write($rows);
    }

    /**
     * @return list<int|string>
     */
    private function row(LessonRecord $record, StudentFigures $one, string $group, Corrections $corrections): array
    {
        $value = static fn (Figure $figure): int => $corrections->value($one, $figure);
        $put = $value(Figure::Put);

        return [
            $one->name,
            $group,
            null === $one->arrivedAt ? '' : Minutes::text($one->arrivedAt - $record->facts->begunAt),
            Minutes::text($one->groupMs),
            Minutes::text($value(Figure::InPlace)),
            Minutes::text($value(Figure::Elsewhere)),
            Minutes::text($value(Figure::Away)),
            $put,
            0 === $one->ofGroup ? '' : (int) round(100 * $one->put / $one->ofGroup),
            $value(Figure::Slots),
            $value(Figure::Calls),
            $value(Figure::CalledOn),
            0 === $one->exitOf ? '' : $value(Figure::ExitAnswered)."/{$one->exitOf}",
            [] === $record->facts->speech ? '' : Minutes::text($one->spokenMs),
        ];
    }

    private function corrected(StudentFigures $one, Corrections $corrections): string
    {
        $said = [];
        foreach (Figure::cases() as $figure) {
            if (null !== $corrections->of($one->student, $figure)) {
                $computed = $figure->computed($one);
                $said[] = $this->words->say(
                    new Message('record.export.computed', [
                        'figure' => $this->word(self::COLUMNS[$figure->value]),
                        'value' => $figure->isTime() ? Minutes::text($computed) : (string) $computed,
                    ]),
                );
            }
        }

        return implode('; ', $said);
    }

    private function word(string $code): string
    {
        return $this->words->say(new Message('record.export.'.$code));
    }
}
