<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Exception\TooManyStudents;
use FreshHuddle\Core\Roster\Exception\UnusableName;

/**
 * A class list as it comes out of the clipboard: a name a line, perhaps numbered, perhaps with a heading, perhaps the
 * columns of a spreadsheet. Every line that is not blank is answered for, so that nothing is lost without a word.
 */
final readonly class PastedList
{
    public const MAX_STUDENTS = 1_200;

    /** Words that head a column of names, folded. */
    private const HEADINGS = [
        'name',
        'names',
        'student',
        'students',
        'student name',
        'full name',
        'pupil',
        'pupils',
        'learner',
        'first name',
        'given name',
        'last name',
        'family name',
        'surname',
        'nom',
        'prénom',
        'nombre',
        'apellidos',
        'nome',
        'namn',
        'navn',
        'imię',
        'jméno',
        'имя',
        'фамилия',
        'schüler',
        'vorname',
        'nachname',
        'الاسم',
        '姓名',
        '名前',
        '이름',
    ];
    private const GIVEN = ['first name', 'given name', 'prénom', 'nombre', 'vorname', 'имя', 'imię'];
    private const FAMILY = ['last name', 'family name', 'surname', 'nom', 'apellidos', 'nachname', 'фамилия'];

    /**
     * @param list<PastedLine> $lines in the order they were pasted, without the blank ones
     */
    private function __construct(public array $lines)
    {
    }

    /**
     * @param string       $text  what was pasted; any line ends
     * @param list<string> $known names already in the class
     *
     * @throws TooManyStudents if the class would hold more than 1,200
     * @throws UnusableName    if the text is not UTF-8
     *
     * Complexity: O(length of the text + number of known names)
     */
    public static function read(string $text, array $known = []): self
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw UnusableName::notText();
        }
        $seen = [];
        foreach ($known as $name) {
            $seen[StudentName::fromText($name)->folded()] = PastedLineFate::Known;
        }
        $lines = [];
        $taken = 0;
        $columns = null;
        foreach ((array) preg_split('/\R/u', $text) as $i => $raw) {
            $raw = (string) $raw;
            $cells = array_map(self::cell(...), explode("\t", $raw));
            if ('' === implode('', $cells)) {
                continue;
            }
            if ([] === $lines && self::isHeading($cells)) {
                $columns = self::columns($cells);
                $lines[] = new PastedLine(
                    $i + 1,
                    mb_substr($raw, 0, 200),
                    PastedLineFate::Header,
                    '',
                    new Message('roster.line.heading'),
                );
                continue;
            }
            $lines[] = $line = self::line($i + 1, $raw, self::nameFrom($cells, $columns), $seen);
            if (PastedLineFate::Taken === $line->fate) {
                $seen[StudentName::fromText($line->name)->folded()] = PastedLineFate::Doubled;
                ++$taken;
            }
        }
        if (\count($known) + $taken > self::MAX_STUDENTS) {
            throw TooManyStudents::inOneClass(\count($known) + $taken, self::MAX_STUDENTS);
        }

        return new self($lines);
    }

    /**
     * @return list<string> the names to add, in order
     */
    public function names(): array
    {
        return array_values(
            array_map(
                static fn (PastedLine $line): string => $line->name,
                array_filter(
                    $this->lines,
                    static fn (PastedLine $line): bool => PastedLineFate::Taken === $line->fate,
                ),
            ),
        );
    }

    /**
     * @param array<string, PastedLineFate> $seen folded name => what to say of it when it comes again
     */
    private static function line(int $number, string $raw, string $found, array $seen): PastedLine
    {
        $shown = mb_substr($raw, 0, 200);
        if (1 !== preg_match('/\p{L}/u', $found)) {
            return new PastedLine($number, $shown, PastedLineFate::Refused, '', UnusableName::withoutLetters()->says);
        }
        try {
            $name = StudentName::fromText($found);
        } catch (UnusableName $e) {
            return new PastedLine($number, $shown, PastedLineFate::Refused, '', $e->says);
        }
        $fate = $seen[$name->folded()] ?? PastedLineFate::Taken;
        $message = match ($fate) {
            PastedLineFate::Doubled => new Message('roster.line.doubled', ['name' => $name->value]),
            PastedLineFate::Known => new Message('roster.line.known', ['name' => $name->value]),
            default => null,
        };

        return new PastedLine($number, $shown, $fate, $name->value, $message);
    }

    private static function cell(string $raw): string
    {
        $cell = trim((string) preg_replace('/[\s\p{Z}\x{FEFF}]+/u', ' ', $raw));
        if (1 === preg_match('/^"(.*)"$/u', $cell, $m)) {
            $cell = trim(str_replace('""', '"', $m[1]));
        }

        // “12. Ada”, “3) Ben”, “- Chi”: list marks, not names
        return trim((string) preg_replace('/^(?:\d{1,3}\s*[.)]|[-*•])\s+/u', '', $cell));
    }

    /**
     * @param list<string> $cells
     */
    private static function isHeading(array $cells): bool
    {
        foreach ($cells as $cell) {
            if (\in_array(self::fold($cell), self::HEADINGS, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<string> $heading
     *
     * @return list<int> which columns make the name, in the order they are to be written
     */
    private static function columns(array $heading): array
    {
        $folded = array_map(self::fold(...), $heading);
        $given = $family = $name = null;
        foreach ($folded as $i => $word) {
            $given ??= \in_array($word, self::GIVEN, true) ? $i : null;
            $family ??= \in_array($word, self::FAMILY, true) ? $i : null;
            $name ??= \in_array($word, self::HEADINGS, true) ? $i : null;
        }

        return null !== $given && null !== $family ? [$given, $family] : [$name ?? 0];
    }

    /**
     * Without a heading the first cell with a letter in it is the name: a column of numbers before it is passed over.
     *
     * @param list<string>   $cells
     * @param list<int>|null $columns
     */
    private static function nameFrom(array $cells, ?array $columns): string
    {
        if (null !== $columns) {
            return trim(implode(' ', array_map(static fn (int $i): string => $cells[$i] ?? '', $columns)));
        }
        foreach ($cells as $cell) {
            if (1 === preg_match('/\p{L}/u', $cell)) {
                return $cell;
            }
        }

        return $cells[0] ?? '';
    }

    private static function fold(string $text): string
    {
        return mb_convert_case((string) preg_replace('/^[ :\x{A0}]+|[ :\x{A0}]+$/Du', '', $text), \MB_CASE_FOLD);
    }
}
