<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * Cards under headings: for each card that lies somewhere the heading and its place under it. A card of the group's own
 * (where they may add some) has its text, too.
 */
final readonly class Sort extends Things
{
    private const LONGEST_CARD = 200;
    private const MOST_ADDED = 60;

    protected const TEXTS = ['text'];

    public function lacks(Block $block): ?string
    {
        return match (true) {
            !$block->hasPrompt() => 'materials.original.empty_slot',
            [] === $block->settings->heads => 'materials.original.no_headings',
            [] === $block->settings->items && !$block->settings->growing => 'materials.original.no_cards',
            default => null,
        };
    }

    public function read(string $value, Block $block): string
    {
        $read = parent::read($value, $block);
        if (\count(self::things($read)) > \count($block->settings->items) + self::MOST_ADDED) {
            throw UnusableValue::tooLong();
        }

        return $read;
    }

    /**
     * The share of the given cards that lie under a heading; of none given, whether there is one.
     */
    public function share(string $value, Block $block): float
    {
        $things = self::things($value);
        $given = array_filter($block->settings->items, static fn ($card): bool => isset($things[$card->id]));

        return [] === $block->settings->items
            ? (float) ([] !== $things)
            : \count($given) / \count($block->settings->items);
    }

    /**
     * How many of the cards whose right heading is known lie under it.
     *
     * @return array{int, int} right ones, and those of which it is known
     */
    public function right(string $value, Block $block): array
    {
        $things = self::things($value);
        $known = array_filter($block->settings->items, static fn ($card): bool => '' !== $card->under);
        $right = array_filter(
            $known,
            static fn ($card): bool => \is_array($things[$card->id] ?? null)
                && $card->under === $things[$card->id]['under'],
        );

        return [\count($right), \count($known)];
    }

    protected function thing(string $id, mixed $thing, Block $block): array
    {
        if (
            !\is_array($thing)
            || !\is_string($under = $thing['under'] ?? null)
            || null === $block->settings->head($under)
        ) {
            throw UnusableValue::wrong();
        }
        /** @var array<string, mixed> $thing */
        $card = ['place' => self::place($thing['place'] ?? null), 'under' => $under];
        if (null !== $block->settings->item($id)) {
            self::only(['place', 'under'], $thing);

            return $card;
        }
        if (!$block->settings->growing) {
            throw UnusableValue::wrong();
        }
        self::id($id);
        self::only(['place', 'under', 'text'], $thing);

        return [
            'place' => $card['place'],
            'text' => self::text($thing['text'] ?? null, self::LONGEST_CARD),
            'under' => $card['under'],
        ];
    }
}
