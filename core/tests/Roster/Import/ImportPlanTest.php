<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Import;

use FreshHuddle\Core\Roster\Exception\TooManyStudents;
use FreshHuddle\Core\Roster\Import\Column;
use FreshHuddle\Core\Roster\Import\ColumnKind;
use FreshHuddle\Core\Roster\Import\Columns;
use FreshHuddle\Core\Roster\Import\Csv;
use FreshHuddle\Core\Roster\Import\ImportFate;
use FreshHuddle\Core\Roster\Import\ImportLine;
use FreshHuddle\Core\Roster\Import\ImportPlan;
use FreshHuddle\Core\Roster\StudentRecord;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What becomes of each line of a list.
 */
final class ImportPlanTest extends TestCase
{
    /**
     * @param list<list<string>> $rows
     */
    #[DataProvider('texts')]
    public function test_text_with_columns_is_read_whatever_parts_them_and_in_whatever_encoding(
        string $bytes,
        array $rows,
    ): void {
        self::assertSame($rows, Csv::read($bytes)->rows);
    }

    /**
     * @return iterable<string, array{string, list<list<string>>}>
     */
    public static function texts(): iterable
    {
        $table = [['Name', 'Level'], ['Zoé Brun', '3'], ['Ben, Jr.', '2']];
        yield 'commas and quotes' => ["Name,Level\r\nZoé Brun,3\r\n\"Ben, Jr.\",2\r\n", $table];
        yield 'semicolons' => ["Name;Level\nZoé Brun;3\nBen, Jr.;2", $table];
        yield 'tabs' => ["Name\tLevel\rZoé Brun\t3\rBen, Jr.\t2\r", $table];
        yield 'bars' => ["Name|Level\nZoé Brun|3\nBen, Jr.|2\n", $table];
        yield 'a byte order mark' => ["\u{FEFF}Name;Level\nZoé Brun;3\nBen, Jr.;2", $table];
        yield 'UTF-16' => [
            "\xFF\xFE".mb_convert_encoding("Name;Level\nZoé Brun;3\nBen, Jr.;2", 'UTF-16LE', 'UTF-8'),
            $table,
        ];
        yield 'Windows-1252' => [
            (string) mb_convert_encoding("Name;Level\nZoé Brun;3\nBen, Jr.;2", 'Windows-1252', 'UTF-8'),
            $table,
        ];
        yield 'a quote in quotes and a line break' => [
            "Name;Note\nAda;\"says \"\"hi\"\"\nand goes\"\n",
            [['Name', 'Note'], ['Ada', 'says "hi" and goes']],
        ];
        yield 'blank lines and columns' => ["\n\nAda;;\n;;\nBen;;\n", [['Ada'], ['Ben']]];
        yield 'one column of names, family name first' => [
            "Okafor, Fay\nLund, Ada",
            [['Okafor, Fay'], ['Lund, Ada']],
        ];
        yield 'what a spreadsheet was kept from running' => [
            "Name;Level\n'=1+1;2",
            [['Name', 'Level'], ['=1+1', '2']],
        ];
    }

    public function test_columns_are_recognised_by_their_headings_and_by_what_stands_in_them(): void
    {
        $sheet = Csv::read(
            "No.;Vorname;Nachname;Tisch;Level;Language;Lead;Tags;E-mail\n1;Ada;Lund;A;3;so;x;calm;a@b.example\n2;Ben;Oduya;B;2;pl;;;\n",
        );
        self::assertSame(
            [
                ColumnKind::SchoolId,
                ColumnKind::Given,
                ColumnKind::Family,
                ColumnKind::Table,
                ColumnKind::Attribute,
                ColumnKind::Attribute,
                ColumnKind::Tag,
                ColumnKind::Tags,
                ColumnKind::Email,
            ],
            array_map(static fn (Column $column): ColumnKind => $column->kind, Columns::recognise($sheet)->columns),
        );
    }

    public function test_a_title_above_the_heading_is_no_student(): void
    {
        $lines = self::plan("Class 9H, autumn\n\nName;Level\nAda;3\n", []);
        self::assertSame(
            ['line.above_heading()', ''],
            [Plainly::said($lines[0]->message), Plainly::said($lines[1]->message)],
        );
        self::assertSame(['Ada', 4], [$lines[1]->record?->name, $lines[1]->line]);
    }

    public function test_without_a_heading_the_column_with_letters_in_it_is_the_name(): void
    {
        $columns = Columns::recognise(Csv::read("1\tAda Lund\t7\n2\tBen Oduya\t8\n"));
        self::assertFalse($columns->heading);
        self::assertSame(
            [ColumnKind::Nothing, ColumnKind::Name, ColumnKind::Nothing],
            array_map(static fn (Column $column): ColumnKind => $column->kind, $columns->columns),
        );
    }

    public function test_every_row_is_answered_for_and_importing_again_changes_nothing(): void
    {
        $text =
            "Name;Id;Table;Level;Lead\nAda Lund;7;A;3;x\nBen Oduya;8;A;2,5;\nCHI NAKAGAWA;;B;4;\n12345;;;;\nAda Lund;9;A;1;\n;10;;;\n";
        $known = [
            'ben' => new StudentRecord('Benjamin Oduya', '8', 'A', ['level' => 2], []),
            'chi' => new StudentRecord('Chi Nakagawa', null, 'B', ['Level' => 4], []),
        ];
        $lines = self::plan($text, $known);
        self::assertSame(
            [
                ImportFate::Added,
                ImportFate::Changed,
                ImportFate::Changed,
                ImportFate::Refused,
                ImportFate::Refused,
                ImportFate::Refused,
            ],
            array_column($lines, 'fate'),
        );
        self::assertSame(
            ['change.from(field.name(); Benjamin Oduya; Ben Oduya)', 'change.new(Level; 2.5)'],
            array_map(Plainly::said(...), $lines[1]->changes),
        );
        self::assertSame(
            ['name.without_letters()', 'line.before(Ada Lund; 2)'],
            [Plainly::said($lines[3]->message), Plainly::said($lines[4]->message)],
        );
        self::assertSame(['level' => 3], array_change_key_case($lines[0]->record->attributes ?? []));
        self::assertSame(['Lead'], $lines[0]->record?->tags);

        $after = [];
        foreach ($lines as $i => $line) {
            if (null !== $line->record) {
                $after[$line->student ?? "new{$i}"] = $line->record;
            }
        }
        foreach (self::plan($text, $after) as $line) {
            self::assertContains($line->fate, [ImportFate::Same, ImportFate::Refused]);
        }
    }

    public function test_what_is_longer_than_can_be_kept_is_said(): void
    {
        $long = str_repeat('ä', 61);
        $lines = self::plan("Name;Table;Level;{$long}\nAda;{$long};3;1\nBen;A;3;\n", []);
        self::assertSame(
            ['line.cut(Table, '.str_repeat('ä', 60).')', ''],
            [Plainly::said($lines[0]->message), Plainly::said($lines[1]->message)],
        );
    }

    public function test_an_empty_cell_says_nothing_and_takes_nothing_away(): void
    {
        $known = ['a' => new StudentRecord('Ada', '7', 'A', ['level' => 3, 'language' => 'so'], ['calm'])];
        self::assertSame(ImportFate::Same, self::plan("Name;Table;level\nAda;;\n", $known)[0]->fate);
    }

    public function test_a_column_for_a_tag_gives_or_takes_that_tag_and_no_other(): void
    {
        $known = [
            'a' => new StudentRecord('Ada', tags: ['calm', 'lead']),
            'b' => new StudentRecord('Ben', tags: ['calm']),
        ];
        $lines = self::plan("Name;Lead\nAda;\nBen;x\n", $known);
        self::assertSame(
            ['calm', 'lead'],
            $lines[0]->record?->tags,
            'a heading that is written otherwise is another tag',
        );
        self::assertSame(['calm', 'Lead'], $lines[1]->record?->tags);
        $lines = self::plan("Name;lead\nAda;no\nBen;x\n", $known);
        self::assertSame([['calm'], ['calm', 'lead']], [$lines[0]->record?->tags, $lines[1]->record?->tags]);
    }

    public function test_family_name_first_and_list_marks_are_put_right(): void
    {
        $names = array_map(
            static fn (ImportLine $line): ?string => $line->record?->name,
            self::plan("Name\n3. Okafor, Fay\n- Gil Haverkamp\nنورة السبيعي\n", []),
        );
        self::assertSame(['Fay Okafor', 'Gil Haverkamp', 'نورة السبيعي'], $names);
    }

    public function test_a_class_holds_four_hundred(): void
    {
        $this->expectException(TooManyStudents::class);
        self::plan(
            "Name\n".implode("\n", array_map(static fn (int $i): string => 'Student '.$i, range(1, 1_201))),
            [],
        );
    }

    /**
     * @param list<ColumnKind> $kinds
     */
    #[DataProvider('tables')]
    public function test_tables_are_recognised_by_what_they_are_called(string $text, array $kinds): void
    {
        self::assertSame(
            $kinds,
            array_map(
                static fn (Column $column): ColumnKind => $column->kind,
                Columns::recognise(Csv::read($text))->columns,
            ),
        );
    }

    /**
     * @return iterable<string, array{string, list<ColumnKind>}>
     */
    public static function tables(): iterable
    {
        foreach (['table', 'Group', 'SET', 'T1'] as $heading) {
            yield $heading => ["Name;{$heading}\nAda Lund;A\nBen Oduya;B\n", [ColumnKind::Name, ColumnKind::Table]];
        }
        yield 'two of them: a student sits at one' => [
            "Name;T1;T2;Level\nAda Lund;A;B;3\nBen Oduya;B;A;2\n",
            [ColumnKind::Name, ColumnKind::Table, ColumnKind::Attribute, ColumnKind::Attribute],
        ];
        yield 'no heading, and values that say it' => [
            "Ada Lund;T1\nBen Oduya;T1\nChi Nakagawa;T2\n",
            [ColumnKind::Name, ColumnKind::Table],
        ];
        yield 'no heading, words and numbers' => [
            "Ada Lund,Table 1\nBen Oduya,Table 2\nChi Nakagawa,Table 1\n",
            [ColumnKind::Name, ColumnKind::Table],
        ];
        yield 'no heading, bare numbers could be levels' => [
            "Ada Lund;1\nBen Oduya;2\nChi Nakagawa;1\n",
            [ColumnKind::Name, ColumnKind::Nothing],
        ];
        yield 'no heading, each another letter is no table' => [
            "Ada Lund;A\nBen Oduya;B\nChi Nakagawa;C\n",
            [ColumnKind::Name, ColumnKind::Nothing],
        ];
    }

    /**
     * @param array<string, StudentRecord> $known
     *
     * @return list<ImportLine>
     */
    private static function plan(string $text, array $known): array
    {
        $sheet = Csv::read($text);

        return ImportPlan::fromSheet($sheet, Columns::recognise($sheet), $known)->lines;
    }
}
