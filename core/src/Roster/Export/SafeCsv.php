<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Export;

/**
 * Writes CSV (RFC 4180) that a spreadsheet can open without running anything: a cell that begins like a formula gets a
 * mark in front, which our own import takes off again.
 */
final class SafeCsv
{
    /**
     * @param list<list<int|float|string|null>> $rows
     */
    public static function write(array $rows): string
    {
        $lines = array_map(static fn (array $row): string => implode(',', array_map(self::cell(...), $row)), $rows);

        return "\u{FEFF}".implode("\r\n", $lines)."\r\n";
    }

    private static function cell(int|float|string|null $value): string
    {
        $cell = (string) $value;
        if (\is_string($value) && 1 === preg_match('/^\s*[=+\-@]|^[\t\r]/', $cell)) {
            $cell = "'".$cell;
        }

        return 1 === preg_match('/[",\r\n;\t]/', $cell) ? '"'.str_replace('"', '""', $cell).'"' : $cell;
    }
}
