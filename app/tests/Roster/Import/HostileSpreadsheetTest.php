<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Import\SpreadsheetSource;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\Core\Roster\Import\Sheet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Small files made to cost a lot. Each is answered within seconds and 200 MB, with a list or a refusal in words.
 */
final class HostileSpreadsheetTest extends TestCase
{
    #[DataProvider('files')]
    public function test_a_file_made_to_be_costly_is_a_list_or_a_refusal(string $bytes, ?int $rows): void
    {
        self::assertLessThan(2_000_000, \strlen($bytes));
        $before = memory_get_usage();
        memory_reset_peak_usage();
        set_time_limit(20);
        try {
            $read = \count((new SpreadsheetSource())->sheet($bytes, null)->rows);
        } catch (RosterRefused $e) {
            self::assertSame('file', $e->field);
            $read = null;
        } finally {
            set_time_limit(0);
        }
        self::assertSame($rows, $read);
        self::assertLessThan(200_000_000, memory_get_peak_usage() - $before);
    }

    /**
     * @return iterable<string, array{string, int|null}> the file and the rows read; null: refused
     */
    public static function files(): iterable
    {
        $entities = '<!DOCTYPE w [<!ENTITY a "aaaaaaaaaa">';
        for ($name = 'a'; 'j' !== $name; $name = $next) {
            $next = \chr(\ord($name) + 1);
            $entities .= "<!ENTITY {$next} \"".str_repeat("&{$name};", 10).'">';
        }
        $entities .= ']>';
        $cell = static fn (
            string $at,
            string $text,
        ): string => "<c r=\"{$at}\" t=\"inlineStr\"><is><t>{$text}</t></is></c>";
        yield 'entities of entities' => [
            Files::xlsx('<row><c t="inlineStr"><is><t>&j;</t></is></c></row>', $entities),
            null,
        ];
        yield 'entities of entities in the other format' => [
            self::odsOf(
                '<table:table-row><table:table-cell office:value-type="string"><text:p>&j;</text:p></table:table-cell></table:table-row>',
                $entities,
            ),
            null,
        ];
        yield 'no rows' => [Files::xlsx(''), null];
        foreach (
            [
                '9223372036854775807',
                '9223372036854775808',
                '-9223372036854775808',
                '18446744073709551616',
                '0',
                '-1',
                '1e30',
                '',
            ] as $number
        ) {
            yield "row {$number}" => [
                Files::xlsx("<row r=\"{$number}\"><c t=\"inlineStr\"><is><t>Ada</t></is></c></row>"),
                1,
            ];
            yield "cell A{$number}" => [
                Files::xlsx("<row r=\"1\">{$cell('A'.$number, 'Ada')}</row>"),
                '0' === $number ? 1 : null,
            ];
            yield "rows repeated {$number} times" => [
                self::odsOf(
                    "<table:table-row table:number-rows-repeated=\"{$number}\"><table:table-cell office:value-type=\"string\"><text:p>Ada</text:p></table:table-cell></table:table-row>",
                ),
                (float) $number > 1 ? Sheet::MAX_ROWS : 1,
            ];
        }
        yield 'a row said a thousand million times' => [
            self::odsOf(
                '<table:table-row table:number-rows-repeated="1000000000"><table:table-cell office:value-type="string"><text:p>Ada</text:p></table:table-cell></table:table-row>',
            ),
            Sheet::MAX_ROWS,
        ];
        yield 'rows and columns said a million times' => [
            self::odsOf(
                str_repeat(
                    '<table:table-row table:number-rows-repeated="1000000"><table:table-cell table:number-columns-repeated="1000000" office:value-type="string"><text:p>Ada</text:p></table:table-cell></table:table-row>',
                    50,
                ),
            ),
            null,
        ];
        yield 'empty rows without end' => [
            self::odsOf(
                str_repeat(
                    '<table:table-row table:number-rows-repeated="1000000"><table:table-cell table:number-columns-repeated="16384"/></table:table-row>',
                    5_000,
                ),
            ),
            null,
        ];
        yield 'a million empty cells' => [
            Files::xlsx(str_repeat('<row>'.str_repeat('<c/>', 1_000).'</row>', 1_000)),
            null,
        ];
        yield 'a hundred thousand rows' => [
            Files::xlsx(str_repeat('<row><c><v>1</v></c></row>', 100_000)),
            Sheet::MAX_ROWS,
        ];
        yield 'rows of a thousand cells' => [
            Files::xlsx(str_repeat('<row>'.str_repeat('<c><v>1</v></c>', 1_000).'</row>', 300)),
            300,
        ];
        yield 'every cell there can be' => [
            Files::xlsx(
                str_repeat('<row>'.str_repeat('<c><v>1</v></c>', Sheet::MAX_COLUMNS).'</row>', Sheet::MAX_ROWS),
            ),
            null,
        ];
        yield 'the largest class with fifty columns' => [
            Files::xlsx(str_repeat('<row>'.str_repeat('<c><v>1</v></c>', 50).'</row>', 1_200)),
            1_200,
        ];
        yield 'columns with a width, all of them, many times' => [
            Files::xlsx(
                '</sheetData><cols>'.
                    str_repeat('<col min="1" max="16384" width="9"/>', 2_000).
                    '</cols><sheetData>'.
                    str_repeat('<row><c><v>1</v></c></row>', 500),
            ),
            null,
        ];
        yield 'formulas that call each other' => [
            Files::xlsx(
                '<row>'.
                    $cell('A1', 'Ada').
                    '<c r="B1"><f>B1+SUM(A1:XFD1048576)</f><v>2</v></c><c r="C1"><f t="shared" ref="C1:XFD1048576" si="0">REPT("a",9999)</f><v>3</v></c></row>',
            ),
            1,
        ];
        yield 'merged cells everywhere' => [
            Files::xlsx(
                '<row>'.
                    $cell('A1', 'Ada').
                    '</row></sheetData><mergeCells>'.
                    str_repeat('<mergeCell ref="A1:XFD1048576"/>', 5_000).
                    '</mergeCells><sheetData>',
            ),
            1,
        ];
        yield 'elements in elements' => [
            Files::xlsx(
                '<row><c t="inlineStr"><is>'.
                    str_repeat('<r>', 200_000).
                    str_repeat('</r>', 200_000).
                    '</is></c></row>',
            ),
            null,
        ];
        yield 'one long cell' => [Files::xlsx('<row>'.$cell('A1', str_repeat('a', 5_000_000)).'</row>'), 1];
    }

    private static function odsOf(string $rows, string $doctype = ''): string
    {
        return Files::zip([
            'content.xml' => '<?xml version="1.0"?>'.
                $doctype.
                '<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet><table:table table:name="S">'.
                $rows.
                '</table:table></office:spreadsheet></office:body></office:document-content>',
        ]);
    }
}
