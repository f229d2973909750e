<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * Recognises what the columns of a list hold, by their headings where there are some, and by what stands in them.
 */
final class Columns
{
    private const WORDS = [
        'name' => ['name', 'names', 'student', 'students', 'student name', 'full name', 'pupil', 'learner', 'nombre completo', 'namn', 'navn', 'nome completo', 'nom complet', 'имя и фамилия', 'الاسم', '姓名', '名前', '이름'],
        'given' => ['first name', 'given name', 'forename', 'firstname', 'givenname', 'prénom', 'nombre', 'nome', 'vorname', 'имя', 'imię', 'jméno', 'förnamn', 'fornavn'],
        'family' => ['last name', 'family name', 'surname', 'lastname', 'familyname', 'nom', 'nom de famille', 'apellidos', 'cognome', 'nachname', 'фамилия', 'nazwisko', 'příjmení', 'efternamn', 'etternavn'],
        'schoolId' => ['id', 'student id', 'school id', 'pupil number', 'student number', 'sourcedid', 'upn', 'matricule', 'matrikelnummer', 'number', 'no', 'no.', 'nr', 'nr.', '#'],
        'table' => ['table', 'seat table', 'seating', 'tisch', 'mesa', 'tavolo', 'стол', 'stół', 'bord'],
        'tags' => ['tags', 'tag', 'labels', 'notes'],
        'nothing' => ['email', 'e-mail', 'phone', 'date of birth', 'dob', 'gender', 'sex', 'address', 'birthday'],
    ];
    private const YES = ['x', '✓', '✔', 'yes', 'y', 'true', '1', 'ja', 'oui', 'si', 'sí', 'да', 'tak'];
    private const NO = ['', 'no', 'n', 'false', '0', 'nein', 'non', 'нет', 'nie', '-'];

    /**
     * @param list<Column> $columns
     * @param bool         $heading whether the first row is a heading
     */
    private function __construct(public readonly array $columns, public readonly bool $heading)
    {
    }

    public static function recognise(Sheet $sheet): self
    {
        $first = $sheet->rows[0] ?? [];
        $kinds = array_map(self::kindOfHeading(...), $first);
        $named = array_filter($kinds, static fn (?ColumnKind $kind): bool => ColumnKind::Name === $kind || ColumnKind::Given === $kind || ColumnKind::Family === $kind);
        $heading = [] !== $named;
        $columns = [];
        for ($i = 0; $i < $sheet->width(); ++$i) {
            $title = $heading ? $first[$i] ?? '' : '';
            $values = self::valuesOf($sheet, $i, $heading);
            $columns[] = new Column($title, ($heading ? $kinds[$i] ?? null : null) ?? self::kindOfValues($title, $values, $heading));
        }

        return new self(self::withOneName($columns, $sheet, $heading), $heading);
    }

    /**
     * What a person said instead of what was recognised.
     *
     * @param list<Column> $columns
     */
    public static function given(array $columns, bool $heading): self
    {
        return new self($columns, $heading);
    }

    public static function isYes(string $cell): bool
    {
        return \in_array(mb_strtolower($cell), self::YES, true);
    }

    private static function kindOfHeading(string $heading): ?ColumnKind
    {
        $folded = mb_convert_case(trim($heading, " :\u{A0}"), \MB_CASE_FOLD);
        foreach (self::WORDS as $kind => $words) {
            if (\in_array($folded, $words, true)) {
                return ColumnKind::from($kind);
            }
        }

        return null;
    }

    /**
     * @return list<string>
     */
    private static function valuesOf(Sheet $sheet, int $column, bool $heading): array
    {
        return array_map(static fn (array $row): string => $row[$column] ?? '', \array_slice($sheet->rows, $heading ? 1 : 0));
    }

    /**
     * @param list<string> $values
     */
    private static function kindOfValues(string $title, array $values, bool $heading): ColumnKind
    {
        if (!$heading || '' === $title || [] === array_filter($values, static fn (string $value): bool => '' !== $value)) {
            return ColumnKind::Nothing;
        }
        $folded = array_map(mb_strtolower(...), $values);
        $yes = \count(array_intersect($folded, self::YES));
        if ($yes > 0 && [] === array_diff($folded, self::YES, self::NO) && [] !== array_diff($folded, ['0', '1', ''])) {
            return ColumnKind::Tag;
        }

        return ColumnKind::Attribute;
    }

    /**
     * A list without a heading: the column with the most letters in it holds the names.
     *
     * @param list<Column> $columns
     *
     * @return list<Column>
     */
    private static function withOneName(array $columns, Sheet $sheet, bool $heading): array
    {
        if ($heading || [] === $columns) {
            return $columns;
        }
        $best = 0;
        $most = -1;
        foreach ($columns as $i => $_) {
            $letters = \count(array_filter(self::valuesOf($sheet, $i, false), static fn (string $value): bool => 1 === preg_match('/\p{L}{2}/u', $value)));
            if ($letters > $most) {
                [$best, $most] = [$i, $letters];
            }
        }
        $columns[$best] = new Column('', ColumnKind::Name);

        return array_values($columns);
    }
}
