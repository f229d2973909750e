<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Roster\Import\Sheet;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Reader\Ods;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\Worksheet\Row;

/**
 * XLSX and ODS: the first sheet with something in it, values as they were last worked out, no formula is run.
 */
final readonly class SpreadsheetSource implements ListSource
{
    public function reads(string $bytes): bool
    {
        return Package::isOne($bytes) && null !== self::reader(new Package($bytes));
    }

    public function sheet(string $bytes, ?string $packageClass): Sheet
    {
        $package = new Package($bytes);
        $reader = self::reader($package) ?? throw new Problem(422, 'This is no spreadsheet.', 'file');
        $reader->setReadDataOnly(true)->setReadEmptyCells(false)->setAllowExternalImages(false);
        try {
            $book = $reader->load($package->path());
        } catch (\Throwable) {
            throw new Problem(422, 'This spreadsheet is damaged. Open it, save it again, and take that.', 'file');
        }
        foreach ($book->getAllSheets() as $sheet) {
            $rows = [];
            $last = min($sheet->getHighestDataRow(), Sheet::MAX_ROWS);
            foreach ($sheet->getRowIterator(1, max(1, $last)) as $row) {
                $rows[$row->getRowIndex() - 1] = self::cells($row);
            }
            $read = Sheet::of($rows);
            if ([] !== $read->rows) {
                return $read;
            }
        }

        return Sheet::of([]);
    }

    /**
     * @return list<string>
     */
    private static function cells(Row $row): array
    {
        $cells = [];
        $iterator = $row->getCellIterator();
        $iterator->setIterateOnlyExistingCells(true);
        foreach ($iterator as $cell) {
            $at = Coordinate::columnIndexFromString($cell->getColumn()) - 1;
            if ($at < Sheet::MAX_COLUMNS) {
                $value = $cell->isFormula() ? $cell->getOldCalculatedValue() : $cell->getValue();
                $cells[$at] = \is_scalar($value) || $value instanceof \Stringable ? (string) $value : '';
            }
        }
        $filled = [];
        for ($i = 0; $i <= ([] === $cells ? -1 : max(array_keys($cells))); ++$i) {
            $filled[] = $cells[$i] ?? '';
        }

        return $filled;
    }

    private static function reader(Package $package): Xlsx|Ods|null
    {
        return match (true) {
            $package->has('xl/workbook.xml') => new Xlsx(),
            $package->has('content.xml') => new Ods(),
            default => null,
        };
    }
}
