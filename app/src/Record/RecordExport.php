<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Record\Format\RecordFormat;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * The record of a lesson for other programs: docs/formats/record.md.
 */
final readonly class RecordExport
{
    public function __construct(private Words $words)
    {
    }

    public function json(Lesson $lesson, LessonRecord $record): string
    {
        return json_encode(
            RecordFormat::write($record, $lesson->title, $lesson->class->name),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    /**
     * For the mark book: a line for each student; times in minutes with one decimal.
     */
    public function csv(LessonRecord $record): string
    {
        $say = fn (string $code): string => $this->words->say(new Message('record.export.'.$code));
        $rows = [
            array_map($say, [
                'name', 'group', 'arrived', 'group_minutes', 'in_place', 'elsewhere', 'away', 'put', 'share', 'places',
                'calls', 'called_on', 'exit',
            ]),
        ];
        $names = [];
        foreach ($record->groups as $group) {
            $names[$group->group] = $group->name;
        }
        $minutes = static fn (int $ms): string => number_format($ms / 60_000, 1, '.', '');
        foreach ($record->students as $one) {
            $rows[] = [
                $one->name,
                $names[$one->group ?? ''] ?? '',
                null === $one->arrivedAt ? '' : $minutes($one->arrivedAt - $record->facts->begunAt),
                $minutes($one->groupMs),
                $minutes($one->inPlaceMs),
                $minutes($one->elsewhereMs),
                $minutes($one->awayMs),
                $one->put,
                0 === $one->ofGroup ? '' : (int) round(100 * $one->put / $one->ofGroup),
                $one->slots,
                $one->calls,
                $one->calledOn,
                0 === $one->exitOf ? '' : "{$one->exitAnswered}/{$one->exitOf}",
            ];
        }

        return SafeCsv::write($rows);
    }
}
