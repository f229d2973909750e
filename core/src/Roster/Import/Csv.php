<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * Reads text with columns: commas, semicolons, tabs or bars between them, quotes or none, in the encodings spreadsheets
 * write.
 */
final class Csv
{
    private const DELIMITERS = ["\t", ';', ',', '|'];
    private const LINES_LOOKED_AT = 30;

    /**
     * Complexity: O(length).
     */
    public static function read(string $bytes): Sheet
    {
        $text = self::utf8($bytes);
        $delimiter = self::delimiter($text);
        $rows = [];
        foreach (self::records($text, $delimiter) as $line => $record) {
            $rows[$line] = $record;
        }

        return Sheet::fromRows($rows);
    }

    private static function utf8(string $bytes): string
    {
        foreach (
            ["\xEF\xBB\xBF" => 'UTF-8', "\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'] as $mark => $encoding
        ) {
            if (str_starts_with($bytes, $mark)) {
                return (string) mb_convert_encoding(substr($bytes, \strlen($mark)), 'UTF-8', $encoding);
            }
        }
        if (mb_check_encoding($bytes, 'UTF-8')) {
            return $bytes;
        }
        if (1 === preg_match('/^(?:[\x09\x0A\x0D\x20-\x7E]\x00){4}/', $bytes)) {
            return (string) mb_convert_encoding($bytes, 'UTF-8', 'UTF-16LE');
        }

        return (string) mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252');
    }

    /**
     * The sign that comes up most evenly over the first lines; quoted parts do not count.
     */
    private static function delimiter(string $text): string
    {
        $lines = preg_split(
            '/\R/u',
            (string) preg_replace('/"[^"]*"/', '', mb_substr($text, 0, 20_000)),
            self::LINES_LOOKED_AT,
            \PREG_SPLIT_NO_EMPTY,
        );
        $lines = false === $lines ? [] : $lines;
        $best = ["\t", 0];
        foreach (self::DELIMITERS as $delimiter) {
            $counts = array_map(static fn (string $line): int => substr_count($line, $delimiter), $lines);
            $with = \count(array_filter($counts, static fn (int $count): bool => $count > 0));
            $score =
                [] === $counts ? 0 : $with * (1 === \count(array_unique($counts)) ? 3 : 1) * min(3, max($counts));
            if ($score > $best[1] && 2 * $with > \count($lines)) {
                $best = [$delimiter, $score];
            }
        }

        // “Okafor, Fay” on every line is a list of names and no table.
        $areNames =
            ',' === $best[0]
            && [] ===
                array_filter($lines, static fn (string $line): bool => 1 !== preg_match('/^[^,]+, [^,]+$/u', $line));

        return $areNames ? "\t" : $best[0];
    }

    /**
     * @return iterable<int, list<string>> by the line a record begins on, from 0
     */
    private static function records(string $text, string $delimiter): iterable
    {
        $record = [];
        $cell = '';
        $quoted = false;
        $line = $began = 0;
        $length = \strlen($text);
        for ($i = 0; $i < $length; ++$i) {
            $sign = $text[$i];
            if ($quoted) {
                if ('"' === $sign && '"' === ($text[$i + 1] ?? '')) {
                    $cell .= '"';
                    ++$i;
                } elseif ('"' === $sign) {
                    $quoted = false;
                } else {
                    $line += "\n" === $sign ? 1 : 0;
                    $cell .= $sign;
                }
            } elseif ('"' === $sign && '' === trim($cell)) {
                $quoted = true;
                $cell = '';
            } elseif ($sign === $delimiter) {
                $record[] = $cell;
                $cell = '';
            } elseif ("\n" === $sign || ("\r" === $sign && "\n" !== ($text[$i + 1] ?? ''))) {
                yield $began => [...$record, $cell];
                $record = [];
                $cell = '';
                $began = ++$line;
            } elseif ("\r" !== $sign) {
                $cell .= $sign;
            }
        }
        yield $began => [...$record, $cell];
    }
}
