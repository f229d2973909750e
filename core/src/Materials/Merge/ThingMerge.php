<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

/**
 * Brings together what two people did to several things, each by itself: what only one of them touched is as they left
 * it. Where both touched the same thing, texts come together word by word, and all else is as the later left it; what
 * the earlier had is for the history.
 *
 * @phpstan-type Thing array<string, bool|float|int|string>|bool|float|int|string
 */
final readonly class ThingMerge
{
    /**
     * @param list<string> $texts the fields of a thing that are texts
     */
    public function __construct(private array $texts = [], private ThreeWay $words = new ThreeWay())
    {
    }

    /**
     * @param array<array-key, Thing> $base
     * @param array<array-key, Thing> $theirs
     * @param array<array-key, Thing> $mine
     *
     * @return array<array-key, Thing>
     *
     * Complexity: O(things), and for each text both have changed that of ThreeWay
     */
    public function merge(array $base, array $theirs, array $mine): array
    {
        $merged = [];
        foreach (array_keys($base + $theirs + $mine) as $id) {
            $thing = $this->mergeThing($base[$id] ?? null, $theirs[$id] ?? null, $mine[$id] ?? null);
            if (null !== $thing) {
                $merged[$id] = $thing;
            }
        }

        return $merged;
    }

    /**
     * @param Thing|null $base
     * @param Thing|null $theirs
     * @param Thing|null $mine
     *
     * @return Thing|null null: it is gone
     */
    private function mergeThing(
        array|bool|float|int|string|null $base,
        array|bool|float|int|string|null $theirs,
        array|bool|float|int|string|null $mine,
    ): array|bool|float|int|string|null {
        if ($mine === $base || $mine === $theirs) {
            return $theirs;
        }
        if ($theirs === $base) {
            return $mine;
        }
        if (null === $mine && null !== $base) {
            // One took it away while the other went on writing in it: what was written stays.
            return \is_string($theirs)
                || (\is_array($theirs) && \is_array($base) && $this->wordsOf($theirs) !== $this->wordsOf($base))
                ? $theirs
                : null;
        }
        if (\is_string($theirs) && \is_string($mine)) {
            return $this->words->merge(\is_string($base) ? $base : '', $theirs, $mine);
        }
        if (\is_array($theirs) && \is_array($mine)) {
            return $this->fields(\is_array($base) ? $base : [], $theirs, $mine);
        }

        return $mine;
    }

    /**
     * @param array<string, bool|float|int|string> $base
     * @param array<string, bool|float|int|string> $theirs
     * @param array<string, bool|float|int|string> $mine
     *
     * @return array<string, bool|float|int|string>
     */
    private function fields(array $base, array $theirs, array $mine): array
    {
        $merged = $this->restOf($mine) === $this->restOf($base) ? $this->restOf($theirs) : $this->restOf($mine);
        foreach ($this->texts as $field) {
            $texts = [];
            foreach ([$base, $theirs, $mine] as $side) {
                $texts[] = \is_string($side[$field] ?? null) ? $side[$field] : '';
            }
            $text = $this->words->merge($texts[0], $texts[1], $texts[2]);
            if ('' !== $text) {
                $merged[$field] = $text;
            }
        }
        ksort($merged);

        return $merged;
    }

    /**
     * @param array<string, bool|float|int|string> $thing
     *
     * @return array<string, bool|float|int|string>
     */
    private function restOf(array $thing): array
    {
        return array_diff_key($thing, array_flip($this->texts));
    }

    /**
     * @param array<string, bool|float|int|string> $thing
     *
     * @return array<string, bool|float|int|string>
     */
    private function wordsOf(array $thing): array
    {
        return array_intersect_key($thing, array_flip($this->texts));
    }
}
