<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Exception;

use FreshHuddle\Core\Materials\BlockKind;

final class UnusableOriginal extends \InvalidArgumentException
{
    public static function badTitle(int $limit): self
    {
        return new self(\sprintf('The original needs a title of 1 to %d signs.', $limit));
    }

    public static function badId(string $id): self
    {
        return new self(\sprintf('“%s” cannot name a block: a-z, 0-9 and - only.', mb_substr($id, 0, 40)));
    }

    public static function doubledId(string $id): self
    {
        return new self(\sprintf('Two blocks are called “%s”.', $id));
    }

    public static function emptyBlock(BlockKind $kind): self
    {
        return new self(BlockKind::Text === $kind ? 'A text is empty.' : 'A slot has no prompt: say what students should write.');
    }

    public static function blockTooLong(int $length, int $limit): self
    {
        return new self(\sprintf('A text of %d signs is too long; there is room for %d.', $length, $limit));
    }

    public static function tooManyBlocks(int $limit): self
    {
        return new self(\sprintf('An original holds at most %d blocks.', $limit));
    }
}
