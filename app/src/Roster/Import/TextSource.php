<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;
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
            throw RosterRefused::unusable('roster.file.old_format', 'file');
        }
        $isWide =
            str_starts_with($bytes, "\xFF\xFE")
            || str_starts_with($bytes, "\xFE\xFF")
            || 1 === preg_match('/^(?:[\x09\x0A\x0D\x20-\x7E]\x00){4}/', $bytes);
        if (!$isWide && str_contains($bytes, "\0")) {
            throw RosterRefused::unusable('roster.file.no_list', 'file');
        }

        return Csv::read($bytes);
    }
}
