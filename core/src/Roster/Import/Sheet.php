<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * Rows of cells, whatever they came out of: a paste, a spreadsheet, a school's export.
 */
final readonly class Sheet
{
    public const MAX_ROWS = 2_000;
    public const MAX_COLUMNS = 60;

    /**
     * @param list<list<string>> $rows  without empty rows; cells are tidy texts
     * @param list<int>          $lines the line of each row where it came from, from 1
     */
    private function __construct(public array $rows, public array $lines)
    {
    }

    /**
     * @param iterable<int, list<string>> $rows by line, from 0
     */
    public static function fromRows(iterable $rows): self
    {
        $kept = $lines = [];
        foreach ($rows as $line => $row) {
            $cells = array_map(self::tidy(...), \array_slice($row, 0, self::MAX_COLUMNS));
            while ([] !== $cells && '' === end($cells)) {
                array_pop($cells);
            }
            if ([] !== $cells) {
                $kept[] = $cells;
                $lines[] = $line + 1;
            }
            if (\count($kept) >= self::MAX_ROWS) {
                break;
            }
        }

        return new self($kept, $lines);
    }

    public function width(): int
    {
        return [] === $this->rows ? 0 : max(array_map('count', $this->rows));
    }

    /**
     * One line, no stray space; the mark in front of a cell that a spreadsheet would have run is taken off again.
     */
    private static function tidy(string $cell): string
    {
        $cell = trim((string) preg_replace('/[\s\p{Z}\x{FEFF}]+/u', ' ', mb_scrub($cell, 'UTF-8')));

        return (string) preg_replace('/^\'(?=[=+\-@])/', '', $cell);
    }
}
