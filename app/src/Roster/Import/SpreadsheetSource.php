<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\Core\Roster\Import\Sheet;

/**
 * Spreadsheets: the first sheet with something in it, values as they were last worked out, no formula is run.
 */
final readonly class SpreadsheetSource implements ListSource
{
    public function reads(string $bytes): bool
    {
        return Package::isOne($bytes) && null !== self::format(new Package($bytes));
    }

    public function sheet(string $bytes, ?string $packageClass): Sheet
    {
        $package = new Package($bytes);
        $format = self::format($package) ?? throw RosterRefused::unusable('roster.file.no_spreadsheet', 'file');
        foreach ($format->sheets($package) as $rows) {
            $sheet = Sheet::of($rows);
            if ([] !== $sheet->rows) {
                return $sheet;
            }
        }

        throw RosterRefused::unusable('roster.file.no_rows', 'file');
    }

    private static function format(Package $package): ?Spreadsheet
    {
        foreach ([new Xlsx(), new Ods()] as $format) {
            if ($format->reads($package)) {
                return $format;
            }
        }

        return null;
    }
}
