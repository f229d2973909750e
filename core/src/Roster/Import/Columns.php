<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * Recognises what the columns of a list hold, by their headings where there are some, and by what stands in them.
 */
final class Columns
{
    private const WORDS = [
        'name' => [
            'name',
            'names',
            'student',
            'students',
            'student name',
            'full name',
            'pupil',
            'learner',
            'nombre completo',
            'namn',
            'navn',
            'nome completo',
            'nom complet',
            'имя и фамилия',
            'الاسم',
            '姓名',
            '名前',
            '이름',
        ],
        'given' => [
            'first name',
            'given name',
            'forename',
            'firstname',
            'givenname',
            'prénom',
            'nombre',
            'nome',
            'vorname',
            'имя',
            'imię',
            'jméno',
            'förnamn',
            'fornavn',
        ],
        'family' => [
            'last name',
            'family name',
            'surname',
            'lastname',
            'familyname',
            'nom',
            'nom de famille',
            'apellidos',
            'cognome',
            'nachname',
            'фамилия',
            'nazwisko',
            'příjmení',
            'efternamn',
            'etternavn',
        ],
        'schoolId' => [
            'id',
            'student id',
            'school id',
            'pupil number',
            'student number',
            'sourcedid',
            'upn',
            'matricule',
            'matrikelnummer',
            'number',
            'no',
            'no.',
            'nr',
            'nr.',
            '#',
        ],
        'table' => [
            'table',
            'set',
            'seat table',
            'seating',
            'group',
            'tisch',
            'mesa',
            'tavolo',
            'стол',
            'stół',
            'bord',
        ],
        'tags' => ['tags', 'tag', 'labels', 'notes'],
        'email' => [
            'email',
            'e-mail',
            'mail',
            'email address',
            'e-mail address',
            'student email',
            'correo',
            'courriel',
            'e-mail-adresse',
            'почта',
            'البريد الإلكتروني',
        ],
        'nothing' => ['phone', 'date of birth', 'dob', 'gender', 'sex', 'address', 'birthday'],
    ];
    /** What tables are called: a word or none, and a number or a letter. */
    private const TABLE = '/^(?:t|g|table|set|row|group|desk|team|tisch|mesa|gruppe|grupo)?[ .:#-]?(?:\d{1,2}|[a-h])$/Du';
    private const YES = ['x', '✓', '✔', 'yes', 'y', 'true', '1', 'ja', 'oui', 'si', 'sí', 'да', 'tak'];
    /** So far down a heading is looked for. */
    private const ROWS_ABOVE = 6;
    private const NO = ['', 'no', 'n', 'false', '0', 'nein', 'non', 'нет', 'nie', '-'];

    /**
     * @param list<Column> $columns
     * @param bool         $heading whether there is a heading
     * @param int          $first   the first row with a student in it; the heading is the one before
     */
    private function __construct(
        public readonly array $columns,
        public readonly bool $heading,
        public readonly int $first,
    ) {
    }

    public static function recognise(Sheet $sheet): self
    {
        $at = self::headingRow($sheet);
        $first = null === $at ? 0 : $at + 1;
        $titles = null === $at ? [] : $sheet->rows[$at];
        $columns = [];
        for ($i = 0; $i < $sheet->width(); ++$i) {
            $title = $titles[$i] ?? '';
            $columns[] = new Column(
                $title,
                self::kindOfHeading($title) ??
                    self::kindOfValues($title, self::valuesOf($sheet, $i, $first), null !== $at),
            );
        }

        return new self(self::withOneTable(self::withOneName($columns, $sheet, null !== $at)), null !== $at, $first);
    }

    /**
     * The heading need not come first: a title may stand above it.
     */
    private static function headingRow(Sheet $sheet): ?int
    {
        foreach (\array_slice($sheet->rows, 0, self::ROWS_ABOVE) as $at => $row) {
            foreach ($row as $cell) {
                if (
                    \in_array(
                        self::kindOfHeading($cell),
                        [ColumnKind::Name, ColumnKind::Given, ColumnKind::Family],
                        true,
                    )
                ) {
                    return $at;
                }
            }
        }

        return null;
    }

    /**
     * What a person said instead of what was recognised.
     *
     * @param list<Column> $columns
     */
    public static function chosen(array $columns, bool $heading, int $first): self
    {
        return new self($columns, $heading, $heading ? max(1, $first) : 0);
    }

    public static function isYes(string $cell): bool
    {
        return \in_array(mb_strtolower($cell), self::YES, true);
    }

    private static function kindOfHeading(string $heading): ?ColumnKind
    {
        $folded = mb_convert_case(
            (string) preg_replace('/^[ :\x{A0}]+|[ :\x{A0}]+$/Du', '', $heading),
            \MB_CASE_FOLD,
        );
        if (1 === preg_match('/^t ?\d{1,2}$/D', $folded)) {
            return ColumnKind::Table;
        }
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
    private static function valuesOf(Sheet $sheet, int $column, int $first): array
    {
        return array_map(static fn (array $row): string => $row[$column] ?? '', \array_slice($sheet->rows, $first));
    }

    /**
     * @param list<string> $values
     */
    private static function kindOfValues(string $title, array $values, bool $heading): ColumnKind
    {
        if (!$heading && self::areTables($values)) {
            return ColumnKind::Table;
        }
        if (
            !$heading
            || '' === $title
            || [] === array_filter($values, static fn (string $value): bool => '' !== $value)
        ) {
            return ColumnKind::Nothing;
        }
        $folded = array_map(mb_strtolower(...), $values);
        $yes = \count(array_intersect($folded, self::YES));
        if (
            $yes > 0
            && [] === array_diff($folded, self::YES, self::NO)
            && [] !== array_diff($folded, ['0', '1', ''])
        ) {
            return ColumnKind::Tag;
        }

        return ColumnKind::Attribute;
    }

    /**
     * Without a heading: a few values that many share, each with a word for a table or a letter in it, as T1, Table 3
     * or B. Bare numbers are as likely levels or running numbers, so the teacher says what they are.
     *
     * @param list<string> $values
     */
    private static function areTables(array $values): bool
    {
        $given = array_filter(
            array_map(mb_strtolower(...), $values),
            static fn (string $value): bool => '' !== $value,
        );

        return \count($given) >= 2
            && \count(array_unique($given)) < \count($given)
            && [] === preg_grep(self::TABLE, $given, \PREG_GREP_INVERT)
            && [] === preg_grep('/^\d+$/D', $given);
    }

    /**
     * A student sits at one table: where several columns could hold it, the first does, and the others are attributes.
     *
     * @param list<Column> $columns
     *
     * @return list<Column>
     */
    private static function withOneTable(array $columns): array
    {
        $has = false;
        foreach ($columns as $i => $column) {
            if (ColumnKind::Table === $column->kind) {
                $columns[$i] = $has
                    ? new Column(
                        $column->heading,
                        '' === $column->heading ? ColumnKind::Nothing : ColumnKind::Attribute,
                    )
                    : $column;
                $has = true;
            }
        }

        return array_values($columns);
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
            $letters = \count(
                array_filter(
                    self::valuesOf($sheet, $i, 0),
                    static fn (string $value): bool => 1 === preg_match('/\p{L}{2}/u', $value),
                ),
            );
            if ($letters > $most) {
                [$best, $most] = [$i, $letters];
            }
        }
        $columns[$best] = new Column('', ColumnKind::Name);

        return array_values($columns);
    }
}
