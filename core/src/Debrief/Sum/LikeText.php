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
     * @param list<string>       $apart texts that are like others and not the same: each stands by itself
     *
     * @return list<LikeAnswers> the most first, then in the order in which they were given; O(n log n)
     */
    public static function together(array $given, array $apart = []): array
    {
        $apart = array_fill_keys($apart, true);
        $forms = $sources = [];
        foreach ($given as $one) {
            $text = trim($one->value);
            if ('' === $text) {
                continue;
            }
            $key = self::key($text);
            $key = '' === $key || isset($apart[$text]) ? "\0{$text}" : $key;
            $forms[$key][$text] = true;
            $sources[$key][] = $one->source;
        }
        $like = [];
        foreach ($sources as $key => $all) {
            $texts = array_map(strval(...), array_keys($forms[$key]));
            $like[] = new LikeAnswers($texts, $all, isset($apart[$texts[0]]));
        }
        usort(
            $like,
            static fn (LikeAnswers $one, LikeAnswers $other): int => \count($other->sources) <=> \count($one->sources),
        );

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
