<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Export;

use FreshHuddle\Core\Roster\Export\SafeCsv;
use FreshHuddle\Core\Roster\Import\Csv;
use PHPUnit\Framework\TestCase;

/**
 * No cell of an export is run by a spreadsheet.
 */
final class SafeCsvTest extends TestCase
{
    public function test_cells_a_spreadsheet_would_run_are_disarmed(): void
    {
        self::assertSame(
            "\u{FEFF}Name,Level\r\n'=cmd|'/C calc'!A0,3\r\n'+1,-2.5\r\n'@SUM(A1),\r\n\"'-1, or so\",x\r\n",
            SafeCsv::write([
                ['Name', 'Level'],
                ['=cmd|\'/C calc\'!A0', 3],
                ['+1', -2.5],
                ['@SUM(A1)', null],
                ['-1, or so', 'x'],
            ]),
        );
    }

    public function test_what_is_written_is_read_again_as_it_was(): void
    {
        $rows = [['Name', 'Note'], ['Ada "the first" Lund', 'a, b; c'], ['=1+1', '-dash'], ['Мирослава', 'x']];
        self::assertSame($rows, Csv::read(SafeCsv::write($rows))->rows);
    }
}
