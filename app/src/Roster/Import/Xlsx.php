<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\Core\Roster\Import\Sheet;

/**
 * Office Open XML (ECMA-376, part 1, chapter 18): values as they were last worked out.
 */
final readonly class Xlsx implements Spreadsheet
{
    private const ENTRY = 'xl/workbook.xml';
    /** More cells than a class list can have, with room for empty ones that are written down all the same. */
    private const MOST_CELLS = 4 * Sheet::MAX_ROWS * Sheet::MAX_COLUMNS;

    public function reads(Package $package): bool
    {
        return $package->has(self::ENTRY);
    }

    public function sheets(Package $package): iterable
    {
        $targets = $this->targets($package);
        $texts = $package->has('xl/sharedStrings.xml') ? $this->sharedTexts($package) : [];
        $workbook = XmlReading::of($package->text(self::ENTRY));
        while (null !== XmlReading::next($workbook, -1, 'sheet')) {
            $entry = $targets[(string) $workbook->getAttributeNs('id', 'http://schemas.openxmlformats.org/officeDocument/2006/relationships')] ?? null;
            if (null !== $entry && $package->has($entry)) {
                yield $this->rows(XmlReading::of($package->text($entry)), $texts);
            }
        }
    }

    /**
     * @return array<string, string> relation's id => entry in the package
     */
    private function targets(Package $package): array
    {
        $relations = XmlReading::of($package->text('xl/_rels/workbook.xml.rels'));
        $targets = [];
        while (null !== XmlReading::next($relations, -1, 'Relationship')) {
            $target = (string) $relations->getAttribute('Target');
            $targets[(string) $relations->getAttribute('Id')] = str_starts_with($target, '/') ? ltrim($target, '/') : 'xl/'.$target;
        }

        return $targets;
    }

    /**
     * @return list<string>
     */
    private function sharedTexts(Package $package): array
    {
        $reader = XmlReading::of($package->text('xl/sharedStrings.xml'));
        $texts = [];
        while (null !== XmlReading::next($reader, -1, 'si')) {
            $texts[] = XmlReading::text($reader, ['rPh']);
        }

        return $texts;
    }

    /**
     * @param list<string> $texts
     *
     * @return iterable<int, list<string>>
     */
    private function rows(\XMLReader $reader, array $texts): iterable
    {
        $cells = $filled = 0;
        $line = -1;
        while (null !== XmlReading::next($reader, -1, 'row')) {
            $line = is_numeric($reader->getAttribute('r')) ? (int) $reader->getAttribute('r') - 1 : $line + 1;
            $row = [];
            $column = -1;
            $depth = $reader->depth;
            $hasCells = !$reader->isEmptyElement;
            while ($hasCells && null !== XmlReading::next($reader, $depth, 'c')) {
                $column = self::column((string) $reader->getAttribute('r')) ?? $column + 1;
                if ($column >= Sheet::MAX_COLUMNS) {
                    XmlReading::leave($reader, $depth); // the rest of the row is further out still
                    break;
                }
                $value = $this->value($reader, $texts);
                if ('' !== $value) {
                    $row = [...array_pad($row, $column, ''), $value];
                }
                if (++$cells > self::MOST_CELLS) {
                    return;
                }
            }
            if ([] !== $row) {
                yield $line => $row;
                if (++$filled >= Sheet::MAX_ROWS) {
                    return;
                }
            }
        }
    }

    /**
     * @param list<string> $texts
     */
    private function value(\XMLReader $reader, array $texts): string
    {
        $type = $reader->getAttribute('t') ?? 'n';
        if ($reader->isEmptyElement) {
            return '';
        }
        $depth = $reader->depth;
        $value = '';
        while (null !== ($part = XmlReading::next($reader, $depth, 'v', 'is', 'f'))) {
            $text = XmlReading::text($reader, ['rPh']);
            $value = 'f' === $part ? $value : $text;
        }

        return match ($type) {
            's' => $texts[(int) $value] ?? '',
            'n' => is_numeric($value) ? (string) ($value + 0) : $value,
            'e' => '',
            default => $value,
        };
    }

    /**
     * @return int|null from 0; null if it does not say
     */
    private static function column(string $at): ?int
    {
        if (1 !== preg_match('/^([A-Z]{1,3})\d*$/D', $at, $m)) {
            return null;
        }
        $column = 0;
        foreach (str_split($m[1]) as $letter) {
            $column = 26 * $column + \ord($letter) - 64;
        }

        return $column - 1;
    }
}
