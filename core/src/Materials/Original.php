<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Exception\UnusableOriginal;

/**
 * The master of a material. Students never get it; they get copies.
 */
final readonly class Original
{
    public const MAX_BLOCKS = 40;
    public const MAX_TITLE = 120;

    /**
     * @param list<Block> $blocks in reading order
     *
     * @throws UnusableOriginal
     */
    public function __construct(public string $title, public array $blocks)
    {
        if ('' === trim($title) || mb_strlen($title) > self::MAX_TITLE) {
            throw UnusableOriginal::badTitle(self::MAX_TITLE);
        }
        if (\count($blocks) > self::MAX_BLOCKS) {
            throw UnusableOriginal::tooManyBlocks(self::MAX_BLOCKS);
        }
        $ids = array_map(static fn (Block $block): string => $block->id, $blocks);
        foreach (array_count_values($ids) as $id => $times) {
            if ($times > 1) {
                throw UnusableOriginal::doubledId((string) $id);
            }
        }
    }

    /**
     * @return list<Block> the blocks students write in
     */
    public function slots(): array
    {
        return array_values(array_filter($this->blocks, static fn (Block $block): bool => $block->kind->isSlot()));
    }

    /**
     * What a copy is made of: everything but texts that are still empty.
     *
     * @return list<Block>
     *
     * @throws UnusableOriginal if there is nothing to write in, or a slot does not say what students should write
     */
    public function forCopies(): array
    {
        if ([] === $this->slots()) {
            throw UnusableOriginal::withoutSlot();
        }
        foreach ($this->slots() as $slot) {
            if ($slot->isEmpty()) {
                throw UnusableOriginal::emptySlot();
            }
        }

        return array_values(array_filter($this->blocks, static fn (Block $block): bool => !$block->isEmpty()));
    }

    public function block(string $id): ?Block
    {
        foreach ($this->blocks as $block) {
            if ($block->id === $id) {
                return $block;
            }
        }

        return null;
    }
}
