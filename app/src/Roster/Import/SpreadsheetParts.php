<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\Core\Roster\Import\Sheet;
use PhpOffice\PhpSpreadsheet\Reader\Security\XmlScanner;

/**
 * The parts of a spreadsheet that hold a class list: sheets and their texts. Pictures, styles, charts, links to other
 * files and formulas are left out, and what is said to be repeated is bounded before anybody repeats it. Two formats:
 * Office Open XML (ECMA-376, part 1, chapter 18) and OpenDocument (ISO/IEC 26300, part 1, chapter 9).
 */
final readonly class SpreadsheetParts
{
    private const XLSX = 'xl/workbook.xml';
    private const ODS = 'content.xml';
    /** What is said to be repeated counts as this many cells: few bytes ask for it, and it takes longer. */
    private const REPEATED = 4;
    private const MOST_EMPTY_ROWS = 1_000_000;
    private const XLSX_PARTS = '~^(\[Content_Types\]\.xml|_rels/\.rels|xl/workbook\.xml|xl/_rels/workbook\.xml\.rels|xl/sharedStrings\.xml|xl/worksheets/[^/]+\.xml)$~D';
    private const TABLE = 'urn:oasis:names:tc:opendocument:xmlns:table:1.0';

    /**
     * @return 'xlsx'|'ods'|null
     */
    public static function kindOf(Package $package): ?string
    {
        return $package->has(self::XLSX) ? 'xlsx' : ($package->has(self::ODS) ? 'ods' : null);
    }

    /**
     * @param 'xlsx'|'ods' $kind
     *
     * @return array<string, string> XML by the part's name
     *
     * @throws RosterRefused if a part is damaged or defines entities
     */
    public static function toRead(Package $package, string $kind): array
    {
        return 'xlsx' === $kind ? self::xlsx($package) : self::ods($package);
    }

    /**
     * @return array<string, string>
     */
    private static function xlsx(Package $package): array
    {
        $parts = [];
        $left = ClassListCells::MOST;
        foreach ($package->names() as $name) {
            if (1 === preg_match(self::XLSX_PARTS, $name)) {
                $parts[$name] = str_starts_with($name, 'xl/worksheets/')
                    ? self::xlsxSheet(self::document($package, $name), $left)
                    : self::scanned($package->text($name));
            }
        }
        $parts['_rels/.rels'] ??=
            '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="'.
            self::XLSX.
            '"/></Relationships>';

        return $parts;
    }

    /**
     * Its filled rows and cells and nothing else; what a formula came to stands beside it.
     */
    private static function xlsxSheet(\DOMDocument $sheet, int &$left): string
    {
        $kept = 0;
        foreach (self::all($sheet, 'row') as $row) {
            $filled = 0;
            foreach (self::within($row, 'c') as $cell) {
                array_map(self::drop(...), self::within($cell, 'f'));
                if (!$cell->hasChildNodes() || $kept >= Sheet::MAX_ROWS || $filled >= Sheet::MAX_COLUMNS) {
                    self::drop($cell);
                } else {
                    ++$filled;
                    self::count($left, 1);
                }
            }
            if (0 === $filled) {
                self::drop($row);
                continue;
            }
            ++$kept;
            foreach (
                ['spans', 's', 'customFormat', 'ht', 'hidden', 'customHeight', 'outlineLevel', 'collapsed'] as $name
            ) {
                $row->removeAttribute($name);
            }
        }
        for ($part = $sheet->documentElement?->firstChild; null !== $part; $part = $next) {
            $next = $part->nextSibling;
            if (!($part instanceof \DOMElement) || 'sheetData' !== $part->localName) {
                self::drop($part);
            }
        }

        return (string) $sheet->saveXML();
    }

    /**
     * @return array<string, string>
     */
    private static function ods(Package $package): array
    {
        $content = self::document($package, self::ODS);
        $left = ClassListCells::MOST;
        foreach (self::all($content, 'table') as $table) {
            self::odsTable($table, $left);
        }

        return [
            'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'META-INF/manifest.xml' => '<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0"/>',
            'meta.xml' => '<office:document-meta xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"><office:meta/></office:document-meta>',
            'styles.xml' => '<office:document-styles xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0"/>',
            self::ODS => (string) $content->saveXML(),
        ];
    }

    /**
     * Rows stand directly in their table afterwards, without a formula; rows and cells that are repeated, no more often
     * than a class list is long and wide; none of what is further out.
     */
    private static function odsTable(\DOMElement $table, int &$left): void
    {
        $rows = self::rows($table);
        while (null !== $table->firstChild) {
            $table->removeChild($table->firstChild);
        }
        $kept = $line = 0;
        foreach ($rows as $row) {
            $cells = self::odsCells($row);
            $times = self::times(
                $row,
                'number-rows-repeated',
                0 === $cells ? self::MOST_EMPTY_ROWS : Sheet::MAX_ROWS - $kept,
            );
            $line += $times;
            if ($kept >= Sheet::MAX_ROWS || $line > self::MOST_EMPTY_ROWS) {
                return;
            }
            $kept += 0 === $cells ? 0 : $times;
            self::count($left, 1 === $times ? $cells : self::REPEATED * $cells * $times);
            $row->setAttributeNS(self::TABLE, 'table:number-rows-repeated', (string) $times);
            $table->appendChild($row);
        }
    }

    /**
     * @return list<\DOMElement> of the table itself, and of groups of rows in it
     */
    private static function rows(\DOMElement $in, int $depth = 0): array
    {
        $rows = [];
        foreach (self::within($in, 'table-row', 'table-rows', 'table-header-rows', 'table-row-group') as $part) {
            $inside = 'table-row' === $part->localName ? [$part] : ($depth < 8 ? self::rows($part, $depth + 1) : []);
            array_push($rows, ...$inside);
        }

        return $rows;
    }

    /**
     * @return int how many filled cells the row counts as afterwards
     */
    private static function odsCells(\DOMElement $row): int
    {
        $column = $filled = 0;
        for ($cell = $row->firstChild; null !== $cell; $cell = $next) {
            $next = $cell->nextSibling;
            if (!($cell instanceof \DOMElement) || $column >= Sheet::MAX_COLUMNS) {
                $row->removeChild($cell);
                continue;
            }
            $times = self::times($cell, 'number-columns-repeated', Sheet::MAX_COLUMNS - $column);
            $cell->setAttributeNS(self::TABLE, 'table:number-columns-repeated', (string) $times);
            foreach (['formula', 'number-matrix-columns-spanned', 'number-matrix-rows-spanned'] as $name) {
                $cell->removeAttributeNS(self::TABLE, $name);
            }
            $column += $times;
            $filled += $cell->hasChildNodes() ? (1 === $times ? 1 : self::REPEATED * $times) : 0;
        }

        return $filled;
    }

    private static function times(\DOMElement $element, string $name, int $most): int
    {
        return max(1, min((int) $element->getAttributeNS(self::TABLE, $name), $most));
    }

    /**
     * @return list<\DOMElement> anywhere in the document, in order
     */
    private static function all(\DOMDocument $in, string $name): array
    {
        // a list by name would be counted anew with every step
        $found = (new \DOMXPath($in))->query("//*[local-name()='{$name}']");

        return false === $found
            ? []
            : array_values(
                array_filter(iterator_to_array($found), static fn (mixed $node): bool => $node instanceof \DOMElement),
            );
    }

    /**
     * @return list<\DOMElement>
     */
    private static function within(\DOMElement $in, string ...$names): array
    {
        $found = [];
        for ($node = $in->firstChild; null !== $node; $node = $node->nextSibling) {
            if ($node instanceof \DOMElement && \in_array($node->localName, $names, true)) {
                $found[] = $node;
            }
        }

        return $found;
    }

    private static function drop(\DOMNode $node): void
    {
        $node->parentNode?->removeChild($node);
    }

    /**
     * @throws RosterRefused rather than that some of the list is left out unsaid
     */
    private static function count(int &$left, int $cells): void
    {
        $left -= $cells;
        if ($left < 0) {
            throw RosterRefused::unusable('roster.file.too_large', 'file');
        }
    }

    private static function document(Package $package, string $name): \DOMDocument
    {
        $document = new \DOMDocument();
        $xml = self::scanned($package->text($name));

        return '' !== $xml && $document->loadXML($xml, \LIBXML_NONET | \LIBXML_COMPACT)
            ? $document
            : throw self::damaged();
    }

    private static function scanned(?string $xml): string
    {
        try {
            return (new XmlScanner())->scan($xml ?? '');
        } catch (\Throwable) {
            throw self::damaged();
        }
    }

    private static function damaged(): RosterRefused
    {
        return RosterRefused::unusable('roster.file.damaged', 'file');
    }
}
