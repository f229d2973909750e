<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * Which texts are the same answer: those that differ in case, spaces, punctuation and plain plurals only. Never a guess
 * at what somebody meant.
 */
final readonly class LikeText
{
    /** Words that end so are no plurals: “glass”, “bus”, “crisis”. */
    private const NO_PLURAL = '/(ss|us|is)$/u';

    /**
     * @return string the same for like texts; '' for a text without a letter or a digit
     */
    public static function key(string $text): string
    {
        $words = preg_split('/[^\p{L}\p{M}\p{N}]+/u', mb_strtolower($text), -1, \PREG_SPLIT_NO_EMPTY);

        return implode(' ', array_map(self::singular(...), false === $words ? [] : $words));
    }

    /**
     * @param list<SourceAnswer> $given
     *
     * @return list<array{string, list<string>}> a text as it was first written, with who has written one like it; the
     *                                           most first, then in the order in which they were given; O(n log n)
     */
    public static function together(array $given): array
    {
        $like = [];
        foreach ($given as $one) {
            $text = trim($one->value);
            if ('' === $text) {
                continue;
            }
            $key = self::key($text);
            $key = '' === $key ? "\0{$text}" : $key;
            $like[$key] ??= [$text, []];
            $like[$key][1][] = $one->source;
        }
        usort($like, static fn (array $one, array $other): int => \count($other[1]) <=> \count($one[1]));

        return $like;
    }

    private static function singular(string $word): string
    {
        return match (true) {
            mb_strlen($word) < 4 || 1 === preg_match(self::NO_PLURAL, $word) => $word,
            1 === preg_match('/^(\p{L}+[^aeiou])ies$/u', $word, $stem) => $stem[1].'y',
            1 === preg_match('/^(\p{L}*(?:ch|sh|x|ss|zz))es$/u', $word, $stem) => $stem[1],
            1 === preg_match('/^(\p{L}+)s$/u', $word, $stem) => $stem[1],
            default => $word,
        };
    }
}
