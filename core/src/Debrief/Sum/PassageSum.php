<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Slot\Things;

/**
 * Who has marked each word, by kind of mark, in the order of the text.
 */
final readonly class PassageSum implements SlotSum
{
    public function sum(Block $block, array $given): Sum
    {
        $words = self::words($block->settings->passage);
        $marked = [];
        foreach ($given as $one) {
            foreach (Things::things($one->value) as $mark) {
                if (
                    !\is_array($mark)
                    || !\is_int($from = $mark['from'] ?? null)
                    || !\is_int($to = $mark['to'] ?? null)
                    || !\is_string($kind = $mark['kind'] ?? null)
                ) {
                    continue;
                }
                foreach ($words as [$at, $word]) {
                    if ($at < $to && $at + mb_strlen($word) > $from) {
                        $marked[$at][$kind][$one->source] = true;
                    }
                }
            }
        }
        $tallies = [];
        foreach ($words as [$at, $word]) {
            foreach ($block->settings->heads as $kind) {
                $sources = array_map(strval(...), array_keys($marked[$at][$kind->id] ?? []));
                if ([] !== $sources) {
                    $tallies[] = new Tally((string) $at, $kind->id, $word, $sources);
                }
            }
        }

        return new Sum(SumShape::Passage, $tallies);
    }

    /**
     * @return list<array{int, string}> each with its place, in characters from the beginning
     */
    private static function words(string $passage): array
    {
        preg_match_all('/\s+|\S+/u', $passage, $parts);
        $words = [];
        $at = 0;
        foreach ($parts[0] as $part) {
            if ('' !== trim($part)) {
                $words[] = [$at, $part];
            }
            $at += mb_strlen($part);
        }

        return $words;
    }
}
