<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

/**
 * A shortest list of changes from one list of words to another (Myers, “An O(ND) difference algorithm and its
 * variations”, 1986). Texts that differ in more than 1,000 words are taken as one change: nobody merges that by word.
 */
final readonly class Difference
{
    public const MOST_STEPS = 1_000;

    /**
     * @param int $steps texts that differ in more words are taken as one change: 1 to 1,000
     */
    public function __construct(private int $steps = self::MOST_STEPS)
    {
    }

    /**
     * @param list<string> $old
     * @param list<string> $new
     *
     * @return list<Change> in order, none touching the next
     *
     * Complexity: O((n + m)·d) time, O(d²) memory, d ≤ the steps
     */
    public function changes(array $old, array $new): array
    {
        $head = 0;
        $most = min(\count($old), \count($new));
        while ($head < $most && $old[$head] === $new[$head]) {
            ++$head;
        }
        $tail = 0;
        while ($tail < $most - $head && $old[\count($old) - 1 - $tail] === $new[\count($new) - 1 - $tail]) {
            ++$tail;
        }
        $a = \array_slice($old, $head, \count($old) - $head - $tail);
        $b = \array_slice($new, $head, \count($new) - $head - $tail);
        if ([] === $a && [] === $b) {
            return [];
        }
        $trail = self::trail($a, $b, min(self::MOST_STEPS, max(1, $this->steps)));
        if (null === $trail) {
            return [new Change($head, $head + \count($a), $b)];
        }

        return self::gather($a, $b, $trail, $head);
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     *
     * @return list<array<int, int>>|null the furthest x on each diagonal, a list a step; null if it takes too many
     */
    private static function trail(array $a, array $b, int $steps): ?array
    {
        $n = \count($a);
        $m = \count($b);
        $furthest = [1 => 0];
        $trail = [];
        for ($d = 0; $d <= min($n + $m, $steps); ++$d) {
            $trail[] = $furthest;
            for ($k = -$d; $k <= $d; $k += 2) {
                $down = $k === -$d || ($k !== $d && ($furthest[$k - 1] ?? -1) < ($furthest[$k + 1] ?? -1));
                $x = $down ? $furthest[$k + 1] ?? 0 : ($furthest[$k - 1] ?? 0) + 1;
                while ($x < $n && $x - $k < $m && $a[$x] === $b[$x - $k]) {
                    ++$x;
                }
                $furthest[$k] = $x;
                if ($x >= $n && $x - $k >= $m) {
                    return $trail;
                }
            }
        }

        return null;
    }

    /**
     * Walks the trail back and gathers the steps into changes.
     *
     * @param list<string>          $a
     * @param list<string>          $b
     * @param list<array<int, int>> $trail
     *
     * @return list<Change>
     */
    private static function gather(array $a, array $b, array $trail, int $offset): array
    {
        $x = \count($a);
        $y = \count($b);
        $changes = [];
        for ($d = \count($trail) - 1; $d > 0; --$d) {
            $furthest = $trail[$d];
            $k = $x - $y;
            $down = $k === -$d || ($k !== $d && ($furthest[$k - 1] ?? -1) < ($furthest[$k + 1] ?? -1));
            $fromX = $furthest[$down ? $k + 1 : $k - 1] ?? 0;
            $fromY = $fromX - ($down ? $k + 1 : $k - 1);
            $step = $down ? new Change($fromX, $fromX, [$b[$fromY]]) : new Change($fromX, $fromX + 1, []);
            $next = $changes[0] ?? null;
            if (null !== $next && $next->from === $step->to) {
                $changes[0] = new Change($step->from, $next->to, [...$step->words, ...$next->words]);
            } else {
                array_unshift($changes, $step);
            }
            $x = $fromX;
            $y = $fromY;
        }

        return array_map(
            static fn (Change $change): Change => new Change(
                $change->from + $offset,
                $change->to + $offset,
                $change->words,
            ),
            $changes,
        );
    }
}
