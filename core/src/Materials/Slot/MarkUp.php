<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * Marks in a given text: from which sign to which (Unicode code points, the end not included), of which kind, and what
 * was remarked beside it.
 */
final readonly class MarkUp extends Things
{
    private const LONGEST_REMARK = 500;
    private const MOST_MARKS = 100;

    protected const TEXTS = ['remark'];

    public function lacks(Block $block): ?string
    {
        return match (true) {
            '' === trim($block->settings->passage) => 'materials.original.no_passage',
            [] === $block->settings->heads => 'materials.original.no_marks',
            default => null,
        };
    }

    public function read(string $value, Block $block): string
    {
        $read = parent::read($value, $block);
        if (\count(self::things($read)) > self::MOST_MARKS) {
            throw UnusableValue::tooLong();
        }

        return $read;
    }

    public function share(string $value, Block $block): float
    {
        return [] === self::things($value) ? 0.0 : 1.0;
    }

    protected function thing(string $id, mixed $thing, Block $block): array
    {
        self::id($id);
        if (
            !\is_array($thing)
            || !\is_int($from = $thing['from'] ?? null)
            || !\is_int($to = $thing['to'] ?? null)
            || !\is_string($kind = $thing['kind'] ?? null)
        ) {
            throw UnusableValue::wrong();
        }
        /** @var array<string, mixed> $thing */
        self::only(['from', 'to', 'kind', 'remark'], $thing);
        if (
            $from < 0
            || $to <= $from
            || $to > mb_strlen($block->settings->passage)
            || null === $block->settings->head($kind)
        ) {
            throw UnusableValue::wrong();
        }
        $remark = self::text($thing['remark'] ?? '', self::LONGEST_REMARK);
        $mark = ['from' => $from, 'kind' => $kind, 'to' => $to];

        return '' === $remark ? $mark : ['from' => $from, 'kind' => $kind, 'remark' => $remark, 'to' => $to];
    }
}
