<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Exception\TooManyStudents;
use FreshHuddle\Core\Roster\Exception\UnusableName;
use FreshHuddle\Core\Roster\PastedList;
use FreshHuddle\Core\Roster\StudentName;
use FreshHuddle\Core\Roster\StudentRecord;

/**
 * What an import would do, row by row. A student is known by the school's id where both have one, else by the name; so
 * the same list twice changes nothing, and nobody is doubled. An empty cell says nothing and changes nothing.
 */
final readonly class ImportPlan
{
    private const LONGEST_VALUE = 120;
    private const LONGEST_HEADING = 60;
    private const LONGEST_ADDRESS = 180;
    private const LONGEST_TABLE = 60;
    private const LONGEST_TAG = 60;
    private const MOST_TAGS = 30;

    /**
     * @param list<ImportLine> $lines
     */
    private function __construct(public array $lines)
    {
    }

    /**
     * @param array<string, StudentRecord> $known by student id
     *
     * @throws TooManyStudents if the class would hold more than 1,200
     *
     * Complexity: O(cells + known)
     */
    public static function fromSheet(Sheet $sheet, Columns $columns, array $known): self
    {
        $byId = $byName = $seen = [];
        foreach ($known as $id => $record) {
            $byName[StudentName::fromText($record->name)->folded()] = $id;
            if (null !== $record->schoolId) {
                $byId[$record->schoolId] = $id;
            }
        }
        $lines = [];
        $added = 0;
        foreach ($sheet->rows as $i => $row) {
            if ($i < $columns->first) {
                if ($i < $columns->first - 1) {
                    $lines[] = new ImportLine(
                        $sheet->lines[$i],
                        self::shown($row),
                        ImportFate::Refused,
                        null,
                        null,
                        [],
                        new Message('roster.line.above_heading'),
                    );
                }
                continue;
            }
            $lines[] = $line = self::line($sheet->lines[$i], $row, $columns, $known, $byId, $byName, $seen);
            if (null !== $line->record) {
                $seen[StudentName::fromText($line->record->name)->folded()] = $line->line;
                $added += ImportFate::Added === $line->fate ? 1 : 0;
            }
        }
        if (\count($known) + $added > PastedList::MAX_STUDENTS) {
            throw TooManyStudents::inOneClass(\count($known) + $added, PastedList::MAX_STUDENTS);
        }

        return new self($lines);
    }

    /**
     * @param list<string>                 $row
     * @param array<string, StudentRecord> $known
     * @param array<string, string>        $byId
     * @param array<string, string>        $byName
     * @param array<string, int>           $seen   names that came up before, with their lines
     */
    private static function line(
        int $number,
        array $row,
        Columns $columns,
        array $known,
        array $byId,
        array $byName,
        array $seen,
    ): ImportLine {
        $shown = self::shown($row);
        try {
            [$record, $marks] = self::record($row, $columns);
            $folded = StudentName::fromText($record->name)->folded();
        } catch (UnusableName $e) {
            return new ImportLine($number, $shown, ImportFate::Refused, null, null, [], $e->says);
        }
        if (isset($seen[$folded])) {
            return new ImportLine(
                $number,
                $shown,
                ImportFate::Refused,
                null,
                null,
                [],
                new Message('roster.line.before', ['name' => $record->name, 'line' => $seen[$folded]]),
            );
        }
        $student =
            (null === $record->schoolId ? null : $byId[$record->schoolId] ?? null) ?? ($byName[$folded] ?? null);
        $record = self::marked($record, $marks, null === $student ? [] : $known[$student]->tags ?? []);
        $cut = self::cut($row, $columns) ?? self::noAddress($row, $columns);
        if (null === $student) {
            return new ImportLine($number, $shown, ImportFate::Added, null, $record, [], $cut);
        }
        $changes = self::changes($known[$student], $record);

        return new ImportLine(
            $number,
            $shown,
            [] === $changes ? ImportFate::Same : ImportFate::Changed,
            $student,
            $record,
            $changes,
            $cut,
        );
    }

    /**
     * @param list<string> $row
     *
     * @return Message|null where something stands in the place of an address that is none
     */
    private static function noAddress(array $row, Columns $columns): ?Message
    {
        foreach ($columns->columns as $i => $column) {
            $cell = $row[$i] ?? '';
            if (ColumnKind::Email === $column->kind && '' !== $cell && null === self::address($cell)) {
                return new Message('roster.line.no_address', ['text' => mb_substr($cell, 0, 80)]);
            }
        }

        return null;
    }

    private static function address(string $cell): ?string
    {
        $address = trim($cell);

        return \strlen($address) <= self::LONGEST_ADDRESS
            && 1 === preg_match('/^[^@\s<>"(),;:]+@[^@\s<>"(),;:]+\.[^@\s<>"(),;:.]+$/Du', $address)
            ? $address
            : null;
    }

    /**
     * What of a row is longer than can be kept.
     *
     * @param list<string> $row
     */
    private static function cut(array $row, Columns $columns): ?Message
    {
        $cut = [];
        foreach ($columns->columns as $i => $column) {
            $cell = $row[$i] ?? '';
            $most = match ($column->kind) {
                ColumnKind::Table => self::LONGEST_TABLE,
                ColumnKind::SchoolId, ColumnKind::Attribute => self::LONGEST_VALUE,
                default => \PHP_INT_MAX,
            };
            $isCut =
                ColumnKind::Tags === $column->kind
                    ? self::tags($cell) !== self::tags($cell, \PHP_INT_MAX)
                    : mb_strlen($cell) > $most;
            $isNamed = ColumnKind::Attribute === $column->kind || ColumnKind::Tag === $column->kind;
            if ('' !== $cell && ($isCut || ($isNamed && mb_strlen($column->heading) > self::LONGEST_HEADING))) {
                $cut[] =
                    '' === $column->heading
                        ? (string) ($i + 1)
                        : mb_substr($column->heading, 0, self::LONGEST_HEADING);
            }
        }

        return [] === $cut ? null : new Message('roster.line.cut', ['columns' => $cut]);
    }

    /**
     * @param list<string> $row
     */
    private static function shown(array $row): string
    {
        return mb_substr(implode(' · ', array_filter($row, static fn (string $cell): bool => '' !== $cell)), 0, 160);
    }

    /**
     * @param list<string> $row
     *
     * @return array{StudentRecord, array<string, bool>} and the tags that have a column of their own, given or not
     *
     * @throws UnusableName
     */
    private static function record(array $row, Columns $columns): array
    {
        $name = $given = $family = '';
        $schoolId = $table = $tags = $email = null;
        $attributes = $marks = [];
        foreach ($columns->columns as $i => $column) {
            $cell = mb_substr($row[$i] ?? '', 0, ColumnKind::Tags === $column->kind ? 2_000 : 500);
            if ('' === $cell && ColumnKind::Tag !== $column->kind) {
                continue;
            }
            match ($column->kind) {
                ColumnKind::Name => ($name = self::inOrder($cell)),
                ColumnKind::Given => ($given = $cell),
                ColumnKind::Family => ($family = $cell),
                ColumnKind::SchoolId => ($schoolId = mb_substr($cell, 0, self::LONGEST_VALUE)),
                ColumnKind::Email => ($email = self::address($cell)),
                ColumnKind::Table => ($table = mb_substr($cell, 0, self::LONGEST_TABLE)),
                ColumnKind::Tags => ($tags = [...$tags ?? [], ...self::tags($cell)]),
                ColumnKind::Tag => ($marks[mb_substr($column->heading, 0, self::LONGEST_HEADING)] = Columns::isYes(
                    $cell,
                )),
                ColumnKind::Attribute => ($attributes[
                    mb_substr($column->heading, 0, self::LONGEST_HEADING)
                ] = self::value($cell)),
                ColumnKind::Nothing => null,
            };
        }
        $name = '' === $name ? trim($given.' '.$family) : $name;
        if (1 !== preg_match('/\p{L}/u', $name)) {
            throw '' === $name ? UnusableName::empty() : UnusableName::withoutLetters();
        }

        return [
            new StudentRecord(
                StudentName::fromText($name)->value,
                $schoolId,
                $table,
                $attributes,
                null === $tags ? null : array_values(array_unique($tags)),
                $email,
            ),
            $marks,
        ];
    }

    /**
     * A column of its own gives or takes one tag and leaves the others alone.
     *
     * @param array<string, bool> $marks
     * @param list<string>        $before
     */
    private static function marked(StudentRecord $record, array $marks, array $before): StudentRecord
    {
        if ([] === $marks) {
            return $record;
        }
        $tags = array_fill_keys($record->tags ?? $before, true);
        foreach ($marks as $tag => $given) {
            unset($tags[$tag]);
            if ($given) {
                $tags[$tag] = true;
            }
        }

        return new StudentRecord(
            $record->name,
            $record->schoolId,
            $record->table,
            $record->attributes,
            array_map(strval(...), array_keys($tags)),
            $record->email,
        );
    }

    /**
     * “Okafor, Fay” is Fay Okafor; “12. Fay” is Fay.
     */
    private static function inOrder(string $name): string
    {
        $name = trim((string) preg_replace('/^(?:\d{1,3}\s*[.)]|[-*•])\s+/u', '', $name));

        return 1 === preg_match('/^([^,]+),\s*([^,]+)$/u', $name, $m) ? trim($m[2]).' '.trim($m[1]) : $name;
    }

    /**
     * @return list<string>
     */
    private static function tags(string $cell, int $most = self::MOST_TAGS): array
    {
        $longest = self::MOST_TAGS === $most ? self::LONGEST_TAG : \PHP_INT_MAX;
        $tags = array_map(
            static fn (string $tag): string => mb_substr(trim($tag), 0, $longest),
            explode(';', str_replace(',', ';', $cell)),
        );

        return \array_slice(array_values(array_filter($tags, static fn (string $tag): bool => '' !== $tag)), 0, $most);
    }

    public static function value(string $cell): int|float|string
    {
        if (1 === preg_match('/^-?\d{1,9}$/', $cell)) {
            return (int) $cell;
        }
        if (1 === preg_match('/^-?\d{1,9}[.,]\d{1,6}$/', $cell)) {
            return (float) str_replace(',', '.', $cell);
        }

        return mb_substr($cell, 0, self::LONGEST_VALUE);
    }

    /**
     * @return list<Message>
     */
    private static function changes(StudentRecord $old, StudentRecord $new): array
    {
        $changes = [];
        $say = static function (string|Message $what, int|float|string|null $from, int|float|string|null $to) use (
            &$changes,
        ): void {
            if (null !== $to && $from !== $to) {
                $changes[] =
                    null === $from || '' === $from
                        ? new Message('roster.change.new', ['what' => $what, 'to' => (string) $to])
                        : new Message('roster.change.from', [
                            'what' => $what,
                            'from' => (string) $from,
                            'to' => (string) $to,
                        ]);
            }
        };
        $say(new Message('roster.field.name'), $old->name, $new->name);
        $say(new Message('roster.field.school_id'), $old->schoolId, $new->schoolId);
        $say(new Message('roster.field.email'), $old->email, $new->email);
        $say(new Message('roster.field.table'), $old->table, $new->table);
        foreach ($new->attributes as $name => $value) {
            $say((string) $name, $old->attributes[$name] ?? null, $value);
        }
        if (null !== $new->tags) {
            [$before, $after] = [$old->tags ?? [], $new->tags];
            sort($before);
            sort($after);
            $say(new Message('roster.field.tags'), implode(', ', $before), implode(', ', $after));
        }

        return $changes;
    }
}
