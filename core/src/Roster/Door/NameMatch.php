<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Door;

use FreshHuddle\Core\Roster\StudentName;

/**
 * Who on a class list is meant by a name somebody typed at the door. The names are tried in rungs, the surest first,
 * and the first rung on which anybody stands decides: one there is who is meant, several there and nobody is.
 *
 *  1. letter for letter, as on the list or as typed once before (other names)
 *  2. without accents, and with letters that keyboards lack spelt out (ß, ø, ł, æ)
 *  3. the same words in another order, with or without commas, dots and hyphens
 *  4. some of the words, or their first letters, with at least one whole word
 *  5. a slip of the finger: one letter in a name of 4 to 7, two in a longer one; or a word cut short beside a whole one
 */
final readonly class NameMatch
{
    private const SPELT = [
        'ß' => 'ss',
        'ø' => 'o',
        'ł' => 'l',
        'đ' => 'd',
        'ð' => 'd',
        'þ' => 'th',
        'æ' => 'ae',
        'œ' => 'oe',
        'ı' => 'i',
        'ħ' => 'h',
        'ŋ' => 'n',
        '’' => '',
        "'" => '',
        'ʻ' => '',
        '‘' => '',
        '`' => '',
    ];
    /** A word cut short has at least so many letters. */
    private const SHORTEST = 3;
    private const LONGEST = StudentName::MAX_LENGTH;

    /**
     * @param string                      $typed valid UTF-8
     * @param array<string, list<string>> $names id => the name on the list, then other names of the same person
     *
     * @return list<string> ids: one if it is clear who is meant, several if it is not, none if nobody is
     *
     * Complexity: O(number of names × length of a name)
     */
    public static function find(string $typed, array $names): array
    {
        $typed = mb_substr($typed, 0, self::LONGEST);
        $words = self::words($typed);
        if ([] === $words) {
            return [];
        }
        $exact = self::exact($typed);
        $letterForLetter = array_filter(
            $names,
            static fn (array $own): bool => \in_array($exact, array_map(self::exact(...), $own), true),
        );

        return array_map(
            strval(...),
            array_keys([] === $letterForLetter ? self::nearest($exact, $words, $names) : $letterForLetter),
        );
    }

    /**
     * The same below the first rung, where far more has to be compared.
     *
     * @param non-empty-list<string>      $words
     * @param array<string, list<string>> $names
     *
     * @return array<string, true>
     */
    private static function nearest(string $exact, array $words, array $names): array
    {
        $rungs = [1 => [], [], [], []];
        foreach ($names as $id => $own) {
            foreach ($own as $name) {
                $rung = self::rung($exact, $words, $name);
                if (null !== $rung) {
                    $rungs[$rung][$id] = true;
                }
            }
            // “Bill Smith” is who was Bill once before and stands on the list as William Smith.
            $all = \count($own) > 1 ? array_merge(...array_map(self::words(...), $own)) : [];
            if ([] !== $all && self::isPart($words, $all)) {
                $rungs[3][$id] = true;
            } elseif ([] !== $all && self::isPart($words, $all, self::SHORTEST)) {
                $rungs[4][$id] = true;
            }
        }
        foreach ($rungs as $found) {
            if ([] !== $found) {
                return $found;
            }
        }

        return [];
    }

    /**
     * @param non-empty-list<string> $words
     */
    private static function rung(string $exact, array $words, string $name): ?int
    {
        $own = self::words($name);
        // “Chan, Lee” says that the order is another: then it tells two apart no more.
        if ($own === $words && !str_contains($exact, ',')) {
            return 1;
        }
        $sorted = $words;
        $ownSorted = $own;
        sort($sorted);
        sort($ownSorted);
        if ($sorted === $ownSorted || implode('', $words) === implode('', $own)) {
            return 2;
        }
        if (self::isPart($words, $own)) {
            return 3;
        }

        return self::isPart($words, $own, self::SHORTEST)
            || self::isSlip(implode(' ', $words), implode(' ', $own))
            || self::isSlip(implode(' ', $sorted), implode(' ', $ownSorted))
            ? 4
            : null;
    }

    private static function exact(string $name): string
    {
        // Most names of most classes: nothing to normalise.
        if (1 === preg_match('/^[ -~]*$/D', $name)) {
            return trim((string) preg_replace('/ {2,}/', ' ', strtolower($name)));
        }
        $normal = \Normalizer::normalize($name, \Normalizer::FORM_KC);

        return trim(
            (string) preg_replace(
                '/[\s\p{Z}]+/u',
                ' ',
                mb_convert_case(\is_string($normal) ? $normal : $name, \MB_CASE_FOLD),
            ),
        );
    }

    /**
     * @return list<string>
     */
    private static function words(string $name): array
    {
        $apart = \Normalizer::normalize(
            strtr(mb_convert_case($name, \MB_CASE_FOLD), self::SPELT),
            \Normalizer::FORM_KD,
        );
        $plain = (string) preg_replace('/\p{M}/u', '', \is_string($apart) ? $apart : $name);

        return array_values(
            array_filter(
                (array) preg_split('/[^\p{L}\p{N}]+/u', $plain),
                static fn (mixed $word): bool => \is_string($word) && '' !== $word,
            ),
        );
    }

    /**
     * @param list<string> $words
     * @param list<string> $own
     * @param int          $shortened so many letters stand for a word that begins with them, as “Will” for William; 0:
     *     none do
     */
    private static function isPart(array $words, array $own, int $shortened = 0): bool
    {
        $whole = 0;
        foreach ($words as $word) {
            $at = array_search($word, $own, true);
            if (false !== $at) {
                ++$whole;
            } elseif (1 === mb_strlen($word)) {
                $at = array_search(
                    $word,
                    array_map(static fn (string $part): string => mb_substr($part, 0, 1), $own),
                    true,
                );
            } elseif ($shortened > 0 && mb_strlen($word) >= $shortened) {
                $at = array_search(
                    $word,
                    array_map(static fn (string $part): string => mb_substr($part, 0, mb_strlen($word)), $own),
                    true,
                );
            }
            if (false === $at) {
                return false;
            }
            unset($own[$at]);
        }

        return $whole > 0;
    }

    private static function isSlip(string $a, string $b): bool
    {
        $length = min(mb_strlen($a), mb_strlen($b));
        $most = $length < 4 ? 0 : ($length < 8 ? 1 : 2);

        return $most > 0
            && abs(mb_strlen($a) - mb_strlen($b)) <= $most
            && self::distance(mb_str_split($a), mb_str_split($b), $most) <= $most;
    }

    /**
     * Letters changed, left out, put in, or two neighbours swapped (Damerau 1964, optimal string alignment), worked out
     * only in a band along the diagonal.
     *
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function distance(array $a, array $b, int $most): int
    {
        $far = $most + 1;
        $before = [];
        $row = [];
        for ($j = 0; $j <= \count($b); ++$j) {
            $row[$j] = min($j, $far);
        }
        for ($i = 1; $i <= \count($a); ++$i) {
            [$older, $before, $row] = [$before, $row, []];
            $row[0] = min($i, $far);
            $least = $row[0];
            for ($j = max(1, $i - $most); $j <= min(\count($b), $i + $most); ++$j) {
                $cost = $a[$i - 1] === $b[$j - 1] ? 0 : 1;
                $row[$j] = min(
                    $far,
                    ($before[$j] ?? $far) + 1,
                    ($row[$j - 1] ?? $far) + 1,
                    ($before[$j - 1] ?? $far) + $cost,
                );
                if ($i > 1 && $j > 1 && $a[$i - 1] === $b[$j - 2] && $a[$i - 2] === $b[$j - 1]) {
                    $row[$j] = min($row[$j], ($older[$j - 2] ?? $far) + 1);
                }
                $least = min($least, $row[$j]);
            }
            if ($least > $most) {
                return $far;
            }
        }

        return $row[\count($b)] ?? $far;
    }
}
