<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Roster\Import\Csv;
use FreshHuddle\Core\Roster\Import\Sheet;

/**
 * What was pasted, and CSV files.
 */
final readonly class TextSource implements ListSource
{
    public function reads(string $bytes): bool
    {
        return true;
    }

    public function sheet(string $bytes, ?string $packageClass): Sheet
    {
        if (str_starts_with($bytes, "\xD0\xCF\x11\xE0")) {
            throw new Problem(422, 'This is a spreadsheet in the old format. Save it as XLSX, ODS or CSV and take that.', 'file');
        }
        $isWide = str_starts_with($bytes, "\xFF\xFE") || str_starts_with($bytes, "\xFE\xFF") || 1 === preg_match('/^(?:[\x09\x0A\x0D\x20-\x7E]\x00){4}/', $bytes);
        if (!$isWide && str_contains($bytes, "\0")) {
            throw new Problem(422, 'This is no list that can be read. Take XLSX, ODS, CSV, or the OneRoster package (zip).', 'file');
        }

        return Csv::read($bytes);
    }
}
