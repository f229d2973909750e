<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;

/**
 * Walks through an XML document element by element, without holding it as a tree. Nothing is fetched and no entity is
 * replaced.
 */
final readonly class XmlReading
{
    /**
     * @return \XMLReader at the beginning of the document
     *
     * @throws RosterRefused if there is none
     */
    public static function of(?string $xml): \XMLReader
    {
        $reader = '' === ($xml ?? '') ? false : \XMLReader::XML((string) $xml, null, \LIBXML_NONET | \LIBXML_NOERROR | \LIBXML_NOWARNING | \LIBXML_COMPACT);

        return $reader instanceof \XMLReader ? $reader : throw self::damaged();
    }

    /**
     * Goes to the next element of one of these names, anywhere inside the element the reader stands on when `$within` is
     * its depth, else anywhere in the document.
     *
     * @return string|null its name without prefix; null: there is none any more
     *
     * @throws RosterRefused if the document breaks off
     */
    public static function next(\XMLReader $reader, int $within, string ...$names): ?string
    {
        while (self::read($reader)) {
            if (\XMLReader::END_ELEMENT === $reader->nodeType && $reader->depth <= $within) {
                return null;
            }
            if (\XMLReader::ELEMENT === $reader->nodeType && \in_array($reader->localName, $names, true)) {
                return $reader->localName;
            }
        }

        return null;
    }

    /**
     * Passes over what is left inside the element of this depth; the reader stands on its end afterwards.
     */
    public static function leave(\XMLReader $reader, int $depth): void
    {
        while ($reader->next() && $reader->depth > $depth) {
        }
    }

    /**
     * The text inside the element the reader stands on; the reader stands on its end afterwards.
     *
     * @param list<string> $without elements whose text does not count
     */
    public static function text(\XMLReader $reader, array $without = []): string
    {
        $isEmpty = $reader->isEmptyElement;
        if ($isEmpty) {
            return '';
        }
        $depth = $reader->depth;
        $text = '';
        $skipped = null;
        while (self::read($reader) && $reader->depth > $depth) {
            if (null !== $skipped && $reader->depth > $skipped) {
                continue;
            }
            $skipped = \XMLReader::ELEMENT === $reader->nodeType && !$reader->isEmptyElement && \in_array($reader->localName, $without, true) ? $reader->depth : null;
            if (\in_array($reader->nodeType, [\XMLReader::TEXT, \XMLReader::CDATA, \XMLReader::SIGNIFICANT_WHITESPACE, \XMLReader::WHITESPACE], true)) {
                $text .= $reader->value;
            } elseif (\XMLReader::ELEMENT === $reader->nodeType && 's' === $reader->localName && str_contains($reader->name, ':')) {
                $text .= ' '; // runs of spaces are elements in one of the two formats
            }
        }

        return $text;
    }

    private static function read(\XMLReader $reader): bool
    {
        libxml_clear_errors();
        $before = libxml_use_internal_errors(true);
        $read = $reader->read();
        $broken = !$read && [] !== libxml_get_errors();
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return $broken ? throw self::damaged() : $read;
    }

    public static function damaged(): RosterRefused
    {
        return RosterRefused::unusable('roster.file.damaged', 'file');
    }
}
