<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Export;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Print\Heading;
use FreshHuddle\App\Print\Marks;
use FreshHuddle\App\Print\Paper;
use FreshHuddle\App\Record\Minutes;
use FreshHuddle\App\Record\RecordSentences;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Record\GroupFigures;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\StudentFigures;

/**
 * A record on paper: on the first page what happened in a few sentences and where each student was, on the second
 * what came of each group. A class of many goes on over further pages.
 */
final readonly class RecordPdf
{
    /** Millimetres that are left for lines of students on the first page, and on those after it. */
    private const FIRST = 128.0;
    private const NEXT = 158.0;
    /** A line is so high at most, and at least. */
    private const MOST = 7.0;
    private const LEAST = 3.8;
    /** Millimetres a strip is long. */
    private const STRIP = 228.0;
    /** Rows of groups on a page. */
    private const DOWN = 3;
    /** Millimetres of a page for groups; what a group takes besides its members. */
    private const PAGE = 168.0;
    private const GROUP = 37.0;

    public function __construct(
        private Paper $paper,
        private Heading $heading,
        private RecordSentences $sentences,
        private Words $words,
    ) {
    }

    /**
     * @return string a PDF
     */
    public function make(Lesson $lesson, LessonRecord $record): string
    {
        $head = $this->heading->html(
            $lesson->title,
            $lesson->class->name.' · '.$this->say('when', ['at' => intdiv($record->facts->begunAt, 1_000)]),
        );
        $students = self::byGroups($record);
        $line = min(self::MOST, max(self::LEAST, self::FIRST / max(1, \count($students))));
        $first = \array_slice($students, 0, (int) floor(self::FIRST / $line));
        $rest = \array_slice($students, \count($first));
        $wrote = $record->facts->momentsOfWriting();
        $pages = [$this->says($record).$this->strips($record, $first, $line, $wrote)];
        foreach (array_chunk($rest, max(1, (int) floor(self::NEXT / $line))) as $some) {
            $pages[] = $this->strips($record, $some, $line, $wrote);
        }
        $groups = array_values(
            array_filter($record->groups, static fn (GroupFigures $one): bool => [] !== $one->students),
        );
        [$across, $member] = self::fit($groups);
        foreach (array_chunk($groups, $across * self::DOWN) as $some) {
            $pages[] = $this->groups($record, $some, $across);
        }

        return $this->paper->pdf(self::style($line, $across, $member), Heading::pages($head, $pages));
    }

    private function says(LessonRecord $record): string
    {
        $html = '';
        foreach ($this->sentences->of($record) as $sentence) {
            $html .= '<div class="says">'.$this->paper->set($sentence->text).'</div>';
        }

        return $html;
    }

    /**
     * @param list<StudentFigures> $students
     * @param float                $line     height of a line, millimetres
     * @param array<string, list<int>> $wrote when each student wrote
     */
    private function strips(LessonRecord $record, array $students, float $line, array $wrote): string
    {
        $rows = '<tr><td class="name"></td><td class="strip">'.$this->axis($record).'</td></tr>';
        $last = null;
        foreach ($students as $one) {
            $rows .= \sprintf(
                '<tr class="%s"><td class="name">%s</td><td class="strip"><img src="%s" style="height: %.2Fmm"></td></tr>',
                null !== $last && $last !== $one->group ? 'other' : '',
                $this->paper->set($one->name),
                RecordPicture::strip($record, $one, $wrote[$one->student] ?? []),
                $line - 0.8,
            );
            $last = $one->group;
        }
        $key = '';
        foreach (['main', 'group', 'sideRoom', 'elsewhere', 'away', 'wrote'] as $kind) {
            $key .= \sprintf(
                '<img src="%s"> %s &nbsp; ',
                RecordPicture::sample($kind),
                $this->paper->set($this->say('kind.'.$kind)),
            );
        }

        return '<table class="strips">'.$rows.'</table><div class="key">'.$key.'</div>';
    }

    /**
     * The time of the lesson, in minutes.
     */
    private function axis(LessonRecord $record): string
    {
        $minutes = max(1, ($record->facts->endedAt - $record->facts->begunAt) / 60_000);
        $steps = array_filter([1, 2, 5, 10, 15, 20, 30], static fn (int $step): bool => $minutes / $step <= 12);
        $step = [] === $steps ? 60 : min($steps);
        $cells = '';
        for ($minute = 0; $minute < $minutes; $minute += $step) {
            $cells .= \sprintf(
                '<td style="width: %.2Fmm">%s</td>',
                self::STRIP * min($step, $minutes - $minute) / $minutes,
                $minutes - $minute < $step / 2
                    ? ''
                    : $this->paper->set($this->say('minute', ['n' => $minute])),
            );
        }

        return '<table class="axis"><tr>'.$cells.'</tr></table>';
    }

    /**
     * @param list<GroupFigures> $groups
     * @param int<1, max>        $across
     */
    private function groups(LessonRecord $record, array $groups, int $across): string
    {
        $html = '';
        foreach (array_chunk($groups, $across) as $row) {
            $html .=
                '<tr>'.
                implode('', array_map(fn (GroupFigures $one): string => $this->group($record, $one), $row)).
                str_repeat('<td class="none"></td>', $across - \count($row)).
                '</tr>';
        }

        return '<table class="groups">'.$html.'</table>';
    }

    private function group(LessonRecord $record, GroupFigures $group): string
    {
        $facts = [];
        if (\count($record->facts->runs) > 1) {
            $facts[] = $this->say('round', ['number' => $group->round]);
        }
        if ($group->of > 0) {
            $facts[] = $this->say('filled', ['filled' => $group->filled, 'of' => $group->of]);
        }
        $facts[] = $this->say('visits', [
            'n' => $group->visits,
            'minutes' => Minutes::text($group->visitedMs),
        ]);
        if ($group->calls > 0) {
            $facts[] = $this->say('waited', [
                'n' => $group->calls,
                'minutes' => Minutes::text($group->longestMs),
            ]);
        }

        return \sprintf(
            '<td class="cell" style="border-color: %s"><table class="slab"><tr>'.
                '<td class="sign"><img src="%s"></td><td class="group">%s</td></tr></table>'.
                '<div class="facts">%s</div>%s<table class="writers">%s</table></td>',
            Marks::colour($group->mark),
            Marks::symbol($group->mark),
            $this->paper->set($group->name, 'head'),
            $this->paper->set(implode(' · ', $facts)),
            0 === $group->of
                ? ''
                : \sprintf('<img class="progress" src="%s">', RecordPicture::progress($record, $group)),
            $this->writers($record, $group),
        );
    }

    private function writers(LessonRecord $record, GroupFigures $group): string
    {
        $names = [];
        foreach ($record->students as $one) {
            $names[$one->student] = $one->name;
        }
        $put = array_fill_keys($group->students, 0);
        foreach ($group->put as $one) {
            $put[$one->student] = $one->put;
        }
        arsort($put);
        $all = array_sum($put);
        $html = '';
        foreach ($put as $id => $much) {
            $share = 0 === $all ? 0 : (int) round(100 * $much / $all);
            $html .= \sprintf(
                '<tr><td class="writer">%s</td><td class="bar"><img src="%s"></td><td class="share">%d %%</td></tr>',
                $this->paper->set($names[$id] ?? $this->say('former')),
                RecordPicture::bar($group->mark, $share),
                $share,
            );
        }

        return $html;
    }

    /**
     * @param list<GroupFigures> $groups
     *
     * @return array{int<1, max>, float} how many stand beside one another; how high a line is, millimetres
     */
    private static function fit(array $groups): array
    {
        $largest = max([1, ...array_map(static fn (GroupFigures $one): int => \count($one->students), $groups)]);
        $across = match (true) {
            \count($groups) <= 3 * self::DOWN => 3,
            \count($groups) <= 4 * self::DOWN => 4,
            default => 5,
        };
        $down = min(self::DOWN, max(1, (int) ceil(\count($groups) / $across)));

        return [$across, min(5.4, max(2.8, (self::PAGE / $down - self::GROUP) / $largest))];
    }

    /**
     * @return list<StudentFigures> in the order of the groups they were in last; whoever was in none comes last
     */
    private static function byGroups(LessonRecord $record): array
    {
        $order = [];
        foreach ($record->groups as $i => $group) {
            $order[$group->group] = $i;
        }
        $students = $record->students;
        usort(
            $students,
            static fn (StudentFigures $one, StudentFigures $other): int => ($order[$one->group ?? ''] ?? \PHP_INT_MAX)
                <=> ($order[$other->group ?? ''] ?? \PHP_INT_MAX),
        );

        return $students;
    }

    /**
     * @param array<string, int|string> $values
     */
    private function say(string $code, array $values = []): string
    {
        return $this->words->say(new Message('record.paper.'.$code, $values));
    }

    /**
     * @param float       $line   height of a line of a student, millimetres
     * @param int<1, max> $across groups beside one another
     * @param float       $member height of a line of a member, millimetres
     */
    private static function style(float $line, int $across, float $member): string
    {
        $width = 285 / $across - 4 - 5;

        return '@page { margin: 10mm 10mm 8mm; }
            body { margin: 0; color: #1c2333; font-family: {text}; font-size: 9pt; }
            .page { height: 190mm; overflow: hidden; } .next { page-break-before: always; } '.
            Heading::STYLE.
            '.says { font-size: 10pt; line-height: 1.25; padding-top: 1mm; }
            .strips { width: 277mm; margin-top: 2mm; border-collapse: collapse; }
            .strips td { padding: 0; height: '.
            $line.
            'mm; vertical-align: middle; line-height: 1; white-space: nowrap; overflow: hidden; }
            .strips .other td { border-top: 0.2mm solid #1c2333; }
            .strips .name { width: 49mm; font-size: '.
            min(9.0, ($line - 0.6) * 2.1).
            'pt; }
            .strip { width: '.self::STRIP.'mm; } .strip img { width: '.self::STRIP.'mm; display: block; }
            .axis { width: '.self::STRIP.'mm; border-collapse: collapse; }
            .axis td { border-left: 0.2mm solid #1c2333; padding-left: 1mm; font-size: 7.5pt; height: 4mm; }
            .key { margin-top: 2mm; font-size: 8pt; } .key img { width: 9mm; height: 3mm; }
            .groups { width: 285mm; margin-left: -4mm; border-collapse: separate; border-spacing: 4mm 3mm;
                table-layout: fixed; }
            .cell { border: 0.5mm solid; padding: 1.5mm 2mm; vertical-align: top; } .none { border: 0; }
            .slab td { padding: 0; vertical-align: middle; }
            .sign { width: 6mm; } .sign img { width: 4.5mm; height: 4.5mm; }
            .group { font-size: 11pt; line-height: 1.05; }
            .facts { font-size: 8.5pt; color: #555c6c; margin: 0.8mm 0; line-height: 1.2; }
            .progress { width: '.($width - 1).'mm; height: 11mm; }
            .writers { width: '.$width.'mm; margin-top: 1mm; border-collapse: collapse; font-size: '.$member * 1.57.'pt; }
            .writers td { padding: 0; height: '.$member.'mm; line-height: 1; vertical-align: middle; }
            .writer { width: '.($width - 31).'mm; } .bar { width: 20mm; } .bar img { width: 18mm; height: 2.6mm; }
            .share { width: 11mm; text-align: right; white-space: nowrap; }';
    }
}
