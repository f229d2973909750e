<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster;

use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\Core\Roster\PastedList;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Class lists come in from texts and files.
 */
final class ImportTest extends AppTestCase
{
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path =
            '/api/staff/classes/'.
            $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => "Ada Lund\nBen Oduya"])->text('id');
    }

    public function test_a_list_with_columns_is_previewed_then_brought_in_and_again_changes_nothing(): void
    {
        $text = "Name;Table;Level;Home language;Lead\nAda Lund;A;3;so;x\nChi Nakagawa;B;2;pl;\n;;;;\n999;A;1;;\n";
        $preview = $this->import('/import/preview', ['text' => $text])->is(200);
        self::assertSame(
            [1, 1, 0, 1],
            [$preview->int('added'), $preview->int('changed'), $preview->int('same'), $preview->int('refused')],
        );
        self::assertSame(
            ['name', 'table', 'attribute', 'attribute', 'tag'],
            array_map(static fn (int $i): string => $preview->text("columns.{$i}.kind"), range(0, 4)),
        );
        self::assertCount(2, $this->ask('GET', $this->path)->list('students'), 'a preview changes nothing');

        $this->import('/import', ['text' => $text])->is(200);
        $class = $this->ask('GET', $this->path);
        self::assertSame(
            ['Ada Lund', 'Ben Oduya', 'Chi Nakagawa'],
            array_map(static fn (int $i): string => $class->text("students.{$i}.name"), range(0, 2)),
        );
        self::assertSame(['A', ['Lead']], [$class->text('students.0.table'), $class->texts('students.0.tags')]);
        self::assertSame(
            [['name' => 'Level', 'value' => '3'], ['name' => 'Home language', 'value' => 'so']],
            $class->list('students.0.attributes'),
        );
        self::assertSame([true, false], [$class->at('attributes.0.numeric'), $class->at('attributes.1.numeric')]);

        $again = $this->import('/import', ['text' => $text])->is(200);
        self::assertSame([0, 0, 2], [$again->int('added'), $again->int('changed'), $again->int('same')]);
        self::assertCount(3, $this->ask('GET', $this->path)->list('students'));
    }

    public function test_what_a_column_holds_can_be_said_by_hand(): void
    {
        $columns = [
            ['heading' => 'Wer', 'kind' => 'name'],
            ['heading' => 'Stufe', 'kind' => 'attribute'],
            ['heading' => 'Egal', 'kind' => 'nothing'],
        ];
        $this->import('/import', [
            'text' => "Wer\tStufe\tEgal\nEero Vanttila\t4\tx\n",
            'columns' => $columns,
            'heading' => true,
        ])->is(200);
        $class = $this->ask('GET', $this->path);
        self::assertSame('Eero Vanttila', $class->text('students.2.name'));
        self::assertSame([['name' => 'Stufe', 'value' => '4']], $class->list('students.2.attributes'));
    }

    public function test_spreadsheets_are_read_and_no_formula_is_run(): void
    {
        $file = Files::ods([['Name', 'Level'], ['Fenna de Rooij', 3], ['Gil Haverkamp', '=1+1']]);
        $preview = $this->import('/import/preview', ['file' => base64_encode($file)])->is(200);
        self::assertSame(
            ['Fenna de Rooij', 'Gil Haverkamp'],
            [$preview->text('lines.0.name'), $preview->text('lines.1.name')],
        );
        self::assertSame(2, $preview->int('added'));
    }

    public function test_the_first_sheet_with_something_in_it_is_taken_from_a_workbook(): void
    {
        $cells =
            '<row r="1"><c r="B1" t="inlineStr"><is><t>First name</t></is></c><c r="C1" t="inlineStr"><is><t>Surname</t></is></c></row><row r="3"><c r="A3"><v>1</v></c><c r="B3" t="inlineStr"><is><t>Sóley</t></is></c><c r="C3" t="inlineStr"><is><t>Arnardóttir</t></is></c></row>';
        $sheet =
            '<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>%s</sheetData></worksheet>';
        $relation = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $file = Files::zip([
            '[Content_Types].xml' => '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>',
            '_rels/.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="'.
                $relation.
                '/officeDocument" Target="xl/workbook.xml"/></Relationships>',
            'xl/workbook.xml' => '<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="'.
                $relation.
                '"><sheets><sheet name="Empty" sheetId="1" r:id="s1"/><sheet name="9G" sheetId="2" r:id="s2"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="s1" Type="'.
                $relation.
                '/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="s2" Type="'.
                $relation.
                '/worksheet" Target="worksheets/sheet2.xml"/></Relationships>',
            'xl/worksheets/sheet1.xml' => \sprintf($sheet, ''),
            'xl/worksheets/sheet2.xml' => \sprintf($sheet, $cells),
        ]);
        $preview = $this->import('/import/preview', ['file' => base64_encode($file)])->is(200);
        self::assertSame(['Sóley Arnardóttir', 3], [$preview->text('lines.0.name'), $preview->int('lines.0.line')]);
    }

    public function test_the_oneroster_package_is_written_and_read_again(): void
    {
        $this->ask('GET', $this->path.'/export/oneroster')->is(200);
        $zip = (string) $this->client->getResponse()->getContent();
        $other = $this->ask('POST', '/api/staff/classes', ['name' => '9H'])->text('id');
        $done = $this->ask('POST', "/api/staff/classes/{$other}/import", ['file' => base64_encode($zip)])->is(200);
        self::assertSame(2, $done->int('added'));
        $class = $this->ask('GET', "/api/staff/classes/{$other}");
        self::assertSame(
            ['Ada Lund', 'Ben Oduya'],
            [$class->text('students.0.name'), $class->text('students.1.name')],
        );
        self::assertSame(
            2,
            $this->ask('POST', "/api/staff/classes/{$other}/import", ['file' => base64_encode($zip)])->int('same'),
        );
    }

    public function test_a_package_with_several_classes_asks_which(): void
    {
        $zip = Files::zip([
            'manifest.csv' => "propertyName,value\noneroster.version,1.2\n",
            'classes.csv' => "sourcedId,status,dateLastModified,title\nc1,,,9G\nc2,,,9H\n",
            'users.csv' => "sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName\nu1,,,true,a,,Ada,Lund\nu2,,,true,b,,Jaya,Rao\nu3,,,true,t,,Ines,Halvorsen\n",
            'enrollments.csv' => "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role\ne1,,,c1,,u1,student\ne2,,,c2,,u2,student\ne3,,,c1,,u3,teacher\n",
        ]);
        $all = $this->import('/import/preview', ['file' => base64_encode($zip)])->is(200);
        self::assertSame(['9G', '9H'], [$all->text('packageClasses.0.title'), $all->text('packageClasses.1.title')]);
        $one = $this->import('/import/preview', ['file' => base64_encode($zip), 'packageClass' => 'c2'])->is(200);
        self::assertSame(
            ['Jaya Rao'],
            array_map(
                static fn (int $i): string => $one->text("lines.{$i}.name"),
                range(0, \count($one->list('lines')) - 1),
            ),
        );
    }

    public function test_files_that_are_no_lists_are_refused_in_words_and_change_nothing(): void
    {
        $huge = Files::zip(['content.xml' => str_repeat(' ', 50_000_000)]);
        foreach (
            [
                'PK'."\x03\x04".'nonsense',
                "\xD0\xCF\x11\xE0old",
                "\x00\x01\x02 binary \x00",
                Files::zip(['readme.txt' => 'hello']),
                Files::zip(['xl/workbook.xml' => '<broken']),
                $huge,
                '',
            ] as $bytes
        ) {
            $this->import('/import', ['file' => base64_encode($bytes)])->is(422);
        }
        $this->import('/import', ['file' => '***not base64***'])->is(422);
        $this->import('/import', [
            'text' => "Name\n".
                implode(
                    "\n",
                    array_map(static fn (int $i): string => "Student {$i}", range(1, PastedList::MAX_STUDENTS + 1)),
                ),
        ])->is(422);
        self::assertCount(2, $this->ask('GET', $this->path)->list('students'));
    }

    /**
     * @return iterable<string, array{string, int}>
     */
    public static function largeSheets(): iterable
    {
        $cells = static function (int $rows, int $columns): string {
            $xml = '';
            for ($r = 1; $r <= $rows; ++$r) {
                $xml .= "<row r=\"{$r}\">";
                for ($c = 0; $c < $columns; ++$c) {
                    $xml .= '<c><v>1</v></c>';
                }
                $xml .= '</row>';
            }

            return $xml;
        };
        yield '480 rows of 1,000 columns' => [Files::xlsx($cells(480, 1_000)), 200];
        yield 'one cell in the last corner' => [
            Files::xlsx('<row r="1048576"><c r="XFD1048576" t="inlineStr"><is><t>Ada</t></is></c></row>'),
            422,
        ];
        yield 'one cell in the last row' => [
            Files::xlsx('<row r="1048576"><c r="A1048576" t="inlineStr"><is><t>Cleo Marsh</t></is></c></row>'),
            200,
        ];
        yield 'a row said a million times' => [Files::ods([]), 422];
        yield 'entities of entities' => [
            Files::xlsx('', '<!DOCTYPE w [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]>'),
            422,
        ];
        yield 'a file of another machine' => [
            Files::xlsx(
                '<row><c t="inlineStr"><is><t>&a;</t></is></c></row>',
                '<!DOCTYPE w [<!ENTITY a SYSTEM "file:///etc/passwd">]>',
            ),
            422,
        ];
    }

    #[DataProvider('largeSheets')]
    public function test_a_small_file_cannot_hold_more_than_a_class_list(string $bytes, int $status): void
    {
        $before = memory_get_usage();
        $this->import('/import/preview', ['file' => base64_encode($bytes)])->is($status);
        self::assertLessThan(120_000_000, memory_get_peak_usage() - $before);
    }

    public function test_a_refused_file_leaves_nothing_behind(): void
    {
        $files = static fn (): array|false => glob(sys_get_temp_dir().'/huddle-list*');
        $before = $files();
        foreach (
            [
                'PK'."\x03\x04".'nonsense',
                Files::zip(['readme.txt' => 'hello']),
                Files::zip(['content.xml' => str_repeat(' ', 50_000_000)]),
            ] as $bytes
        ) {
            $this->import('/import', ['file' => base64_encode($bytes)])->is(422);
        }
        self::assertSame($before, $files());
    }

    public function test_exports_carry_everything_but_the_rules_and_run_nothing(): void
    {
        $class = $this->ask('GET', $this->path);
        $ada = $class->text('students.0.id');
        $this->ask('PATCH', "/api/staff/students/{$ada}", [
            'table' => 'A',
            'tags' => ['lead'],
            'attributes' => [['name' => 'Note', 'value' => '=1+1'], ['name' => 'Level', 'value' => '3']],
            'email' => 'ada@larkmouth.example',
        ])->is(204);
        $this->ask('POST', $this->path.'/rules', [
            'kind' => 'apart',
            'students' => [$ada, $class->text('students.1.id')],
        ])->is(200);
        $csv = $this->ask('GET', $this->path.'/export/csv')->is(200)->raw;
        self::assertSame(
            "\u{FEFF}Name,ID,Email,Table,Note,Level,Tags\r\nAda Lund,,ada@larkmouth.example,A,'=1+1,3,lead\r\nBen Oduya,,,,,,\r\n",
            $csv,
        );
        $json = $this->ask('GET', $this->path.'/export/json')->is(200);
        self::assertSame(
            ['fresh-huddle/class', 3],
            [$json->text('format'), $json->int('students.0.attributes.Level')],
        );
        self::assertTrue(Schema::allows('class', $json->raw));
        self::assertStringNotContainsString('apart', $json->raw);
        self::assertStringContainsString(
            'attachment',
            (string) $this->client->getResponse()->headers->get('Content-Disposition'),
        );
    }

    /**
     * @param array<string, mixed> $body
     */
    private function import(string $end, array $body): Json
    {
        return $this->ask('POST', $this->path.$end, $body);
    }
}
