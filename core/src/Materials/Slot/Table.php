<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * Cells to fill: a text for each cell (`row|column`), and for each row students have added (where it may grow) its
 * place.
 */
final readonly class Table extends Things
{
    private const LONGEST_CELL = 1_000;
    private const MOST_ADDED = 60;

    public function lacks(Block $block): ?string
    {
        return match (true) {
            [] === $block->settings->heads => 'materials.original.no_columns',
            [] === $block->settings->items && !$block->settings->growing => 'materials.original.no_rows',
            default => null,
        };
    }

    public function read(string $value, Block $block): string
    {
        $read = parent::read($value, $block);
        if (
            \count(array_filter(self::things($read), static fn (mixed $thing): bool => !\is_string($thing))) >
            self::MOST_ADDED
        ) {
            throw UnusableValue::tooLong();
        }

        return $read;
    }

    /**
     * The share of the cells of the given rows that have something in them; of none given, whether any has.
     */
    public function share(string $value, Block $block): float
    {
        $filled = array_filter(
            self::things($value),
            static fn ($cell): bool => \is_string($cell) && '' !== trim($cell),
        );
        $given = \count($block->settings->items) * \count($block->settings->heads);
        if (0 === $given) {
            return (float) ([] !== $filled);
        }
        $ofGiven = array_filter(
            $filled,
            static fn (string $key): bool => null !== $block->settings->item(explode('|', $key)[0]),
            \ARRAY_FILTER_USE_KEY,
        );

        return \count($ofGiven) / $given;
    }

    protected function thing(string $id, mixed $thing, Block $block): float|string
    {
        $parts = explode('|', $id);
        if (1 === \count($parts)) {
            return $block->settings->growing && null === $block->settings->item(self::id($id))
                ? self::place($thing)
                : throw UnusableValue::wrong();
        }
        [$row, $column] = $parts;
        $known = null !== $block->settings->item($row) || ($block->settings->growing && '' !== self::id($row));

        return 2 === \count($parts) && $known && null !== $block->settings->head($column)
            ? self::text($thing, self::LONGEST_CELL)
            : throw UnusableValue::wrong();
    }
}
