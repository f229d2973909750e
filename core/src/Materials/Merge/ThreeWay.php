<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

/**
 * Brings together what two people made of the same text (Khanna, Kunal and Pierce, “A formal investigation of diff3”,
 * 2007), word by word. Two who write at different places of one word write one word; where both changed the same place
 * both versions stay, theirs first: nothing typed is lost.
 */
final readonly class ThreeWay
{
    public function __construct(private Difference $difference = new Difference())
    {
    }

    /**
     * @param string $base   what both started from
     * @param string $theirs what is saved now
     * @param string $mine   what has just come in
     *
     * Complexity: O((n + m)·d) time for texts of n and m words that differ in d
     */
    public function merge(string $base, string $theirs, string $mine): string
    {
        if ($theirs === $mine || $mine === $base) {
            return $theirs;
        }
        if ($theirs === $base) {
            return $mine;
        }
        $words = self::words($base);
        $left = $this->difference->changes($words, self::words($theirs));
        $right = $this->difference->changes($words, self::words($mine));

        $merged = '';
        $at = 0;
        while ([] !== $left || [] !== $right) {
            [$from, $to, $leftRun, $rightRun] = self::nextRegion($left, $right);
            $merged = self::behind($merged, implode('', \array_slice($words, $at, $from - $at)));
            foreach (
                self::resolve(
                    implode('', \array_slice($words, $from, $to - $from)),
                    self::rewritten($words, $from, $to, $leftRun),
                    self::rewritten($words, $from, $to, $rightRun),
                    [] === $leftRun,
                    [] === $rightRun,
                ) as $part
            ) {
                $merged = self::behind($merged, $part);
            }
            $at = $to;
        }

        return self::behind($merged, implode('', \array_slice($words, $at)));
    }

    /**
     * What comes from different sides stays apart: words that nobody has written as one never run into one another.
     */
    private static function behind(string $text, string $part): string
    {
        $last = mb_substr($text, -1);
        $isWord = static fn (string $sign): bool => 1 === preg_match('/^\S$/u', $sign);

        return '' !== $last && '' !== $part && $isWord($last) && $isWord(mb_substr($part, 0, 1))
            ? $text.' '.$part
            : $text.$part;
    }

    /**
     * Takes the next changes off both lists that touch each other.
     *
     * @param list<Change> $left
     * @param list<Change> $right
     *
     * @return array{int, int, list<Change>, list<Change>} the region of the base, and each side's changes in it
     */
    private static function nextRegion(array &$left, array &$right): array
    {
        $from = min($left[0]->from ?? \PHP_INT_MAX, $right[0]->from ?? \PHP_INT_MAX);
        $to = $from;
        $runs = [[], []];
        // What one puts in before a word that the other goes on writing is no quarrel: it comes first, by itself.
        foreach ([[&$left, &$right, 0], [&$right, &$left, 1]] as [&$one, &$other, $side]) {
            if (
                isset($one[0], $other[0])
                && $one[0]->from === $from
                && $one[0]->to === $from
                && $other[0]->from === $from
                && $other[0]->to > $from
            ) {
                $runs[$side][] = array_shift($one);

                return [$from, $from, $runs[0], $runs[1]];
            }
        }
        unset($one, $other);
        do {
            $grown = false;
            foreach ([&$left, &$right] as $side => &$changes) {
                while (isset($changes[0]) && ($changes[0]->from < $to || $changes[0]->from === $from)) {
                    $change = array_shift($changes);
                    $to = max($to, $change->to);
                    $runs[$side][] = $change;
                    $grown = true;
                }
            }
            unset($changes);
        } while ($grown);

        return [$from, $to, $runs[0], $runs[1]];
    }

    /**
     * @param list<string> $words
     * @param list<Change> $run
     *
     * @return list<string> the region as one side has it
     */
    private static function rewritten(array $words, int $from, int $to, array $run): array
    {
        $out = [];
        foreach ($run as $change) {
            array_push($out, ...\array_slice($words, $from, $change->from - $from), ...$change->words);
            $from = $change->to;
        }
        array_push($out, ...\array_slice($words, $from, $to - $from));

        return $out;
    }

    /**
     * @param list<string> $theirs
     * @param list<string> $mine
     *
     * @return list<string> texts, each of one side or of both
     */
    private static function resolve(string $base, array $theirs, array $mine, bool $onlyMine, bool $onlyTheirs): array
    {
        $a = implode('', $theirs);
        $b = implode('', $mine);
        if ($onlyMine || $a === $b) {
            return [$b];
        }
        if ($onlyTheirs) {
            return [$a];
        }
        // One side may have gone on from where the other is: then the longer holds both. White space that both have
        // typed before words of their own is no such thing: each goes on behind their own.
        $onlySpace = ('' !== $a && '' === trim($a)) || ('' !== $b && '' === trim($b));
        if (!$onlySpace && \array_slice($theirs, 0, \count($mine)) === $mine) {
            return [$a];
        }
        if (!$onlySpace && \array_slice($mine, 0, \count($theirs)) === $theirs) {
            return [$b];
        }
        $both = self::inOneWord($base, $a, $b);

        return null === $both ? [$a, $b] : [$both];
    }

    /**
     * Two who write in different places of the same word write one word.
     *
     * @return string|null null where their places touch
     */
    private static function inOneWord(string $base, string $theirs, string $mine): ?string
    {
        $left = Splice::between($base, $theirs);
        $right = Splice::between($base, $mine);

        return match (true) {
            $left->at + $left->gone < $right->at => $left->apply($right->apply($base)),
            $right->at + $right->gone < $left->at => $right->apply($left->apply($base)),
            default => null,
        };
    }

    /**
     * @return list<string> words, and the white space between them; joined they are the text again
     */
    private static function words(string $text): array
    {
        $words = preg_split('/(\s+)/u', $text, -1, \PREG_SPLIT_DELIM_CAPTURE | \PREG_SPLIT_NO_EMPTY);

        return false === $words ? [$text] : $words;
    }
}
