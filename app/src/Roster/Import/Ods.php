<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\Core\Roster\Import\Sheet;

/**
 * OpenDocument spreadsheet (ISO/IEC 26300, part 1, chapter 9): values as they were last worked out.
 */
final readonly class Ods implements Spreadsheet
{
    private const ENTRY = 'content.xml';
    private const MOST_CELLS = 4 * Sheet::MAX_ROWS * Sheet::MAX_COLUMNS;

    public function reads(Package $package): bool
    {
        return $package->has(self::ENTRY);
    }

    public function sheets(Package $package): iterable
    {
        $reader = XmlReading::of($package->text(self::ENTRY));
        while (null !== XmlReading::next($reader, -1, 'table')) {
            yield $this->rows($reader);
        }
    }

    /**
     * @return iterable<int, list<string>>
     */
    private function rows(\XMLReader $reader): iterable
    {
        $table = $reader->depth;
        $line = $cells = $filled = 0;
        $hasRows = !$reader->isEmptyElement;
        while ($hasRows && null !== XmlReading::next($reader, $table, 'table-row')) {
            $times = max(1, (int) $reader->getAttribute('table:number-rows-repeated'));
            $row = $this->row($reader, $cells);
            if ([] !== $row) {
                for ($i = 0; $i < min($times, Sheet::MAX_ROWS - $filled); ++$i) {
                    yield $line + $i => $row;
                }
                $filled += $times;
            }
            $line += $times;
            if ($filled >= Sheet::MAX_ROWS || $cells > self::MOST_CELLS) {
                return;
            }
        }
    }

    /**
     * @return list<string>
     */
    private function row(\XMLReader $reader, int &$cells): array
    {
        $depth = $reader->depth;
        $column = 0;
        $row = [];
        $hasCells = !$reader->isEmptyElement;
        while ($hasCells && null !== XmlReading::next($reader, $depth, 'table-cell', 'covered-table-cell')) {
            $times = max(1, (int) $reader->getAttribute('table:number-columns-repeated'));
            $number = $reader->getAttribute('office:value');
            $isNumber = 'float' === $reader->getAttribute('office:value-type') && is_numeric($number);
            $text = XmlReading::text($reader, ['annotation']);
            $value = $isNumber ? (string) ($number + 0) : $text;
            for ($i = $column; '' !== trim($value) && $i < min($column + $times, Sheet::MAX_COLUMNS); ++$i) {
                $row = [...array_pad($row, $i, ''), $value];
            }
            $column += $times;
            ++$cells;
            if ($column >= Sheet::MAX_COLUMNS) {
                XmlReading::leave($reader, $depth);
                break;
            }
        }

        return $row;
    }
}
