<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\Core\Roster\Import\Sheet;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Reader\BaseReader;
use PhpOffice\PhpSpreadsheet\Reader\Ods;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;

/**
 * Spreadsheets: the first sheet with something in it, values as they were last worked out; no formula is run, for none
 * is read. What could cost more than a class list does is taken out before the file is read (SpreadsheetParts).
 */
final readonly class SpreadsheetSource implements ListSource
{
    private const MOST_SHEETS = 12;

    public function reads(string $bytes): bool
    {
        return Package::isOne($bytes) && null !== SpreadsheetParts::kindOf(new Package($bytes));
    }

    public function sheet(string $bytes, ?string $packageClass): Sheet
    {
        $package = new Package($bytes);
        $kind =
            SpreadsheetParts::kindOf($package) ?? throw RosterRefused::unusable('roster.file.no_spreadsheet', 'file');
        $reader = 'ods' === $kind ? new Ods() : new Xlsx();
        $path = (string) tempnam(sys_get_temp_dir(), 'huddle-list');
        $errors = libxml_use_internal_errors(true);
        try {
            file_put_contents($path, Zip::fromFiles(SpreadsheetParts::toRead($package, $kind)));
            foreach ($this->sheets($reader, $path) as $sheet) {
                if ([] !== $sheet->rows) {
                    return $sheet;
                }
            }
        } catch (RosterRefused $e) {
            throw $e;
        } catch (\Throwable) {
            // whatever a file made to break a reader breaks in it
            throw RosterRefused::unusable('roster.file.damaged', 'file');
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($errors);
            @unlink($path);
        }

        throw RosterRefused::unusable('roster.file.no_rows', 'file');
    }

    /**
     * @return iterable<Sheet>
     */
    private function sheets(BaseReader $reader, string $path): iterable
    {
        $within = new ClassListCells();
        $book = $reader
            ->setReadDataOnly(true)
            ->setReadEmptyCells(false)
            ->setIncludeCharts(false)
            ->setReadFilter($within)
            ->load($path);
        foreach (\array_slice($book->getAllSheets(), 0, self::MOST_SHEETS) as $sheet) {
            yield Sheet::fromRows($this->rows($sheet));
        }
        $book->disconnectWorksheets();
    }

    /**
     * @return iterable<int, list<string>> by line, from 0
     */
    private function rows(Worksheet $sheet): iterable
    {
        $rows = [];
        foreach ($sheet->getCellCollection()->getCoordinates() as $at) {
            $cell = $sheet->getCellCollection()->get($at);
            $value = $cell?->getValue();
            $text = \is_bool($value)
                ? ($value
                    ? 'TRUE'
                    : 'FALSE')
                : (\is_scalar($value) || $value instanceof \Stringable
                    ? (string) $value
                    : '');
            if (null !== $cell && '' !== $text && 'e' !== $cell->getDataType()) {
                [$column, $line] = [Coordinate::columnIndexFromString($cell->getColumn()) - 1, $cell->getRow() - 1];
                if ($column < Sheet::MAX_COLUMNS) {
                    $rows[$line][$column] = $text;
                }
            }
        }
        ksort($rows);
        foreach ($rows as $line => $cells) {
            yield $line => array_values(array_replace(array_fill(0, max(array_keys($cells)) + 1, ''), $cells));
        }
    }
}
