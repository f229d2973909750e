<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Exception\UnusableOriginal;

/**
 * A piece of an original: text to read, or a slot with its prompt.
 */
final readonly class Block
{
    public const MAX_TEXT = 20_000;

    /**
     * @param string $id   stays the same while the block is edited, so that answers stay with their slot: 1 to 40 of a-z, 0-9, -
     * @param string $text the text, or the slot's prompt; '' while it is not written yet
     *
     * @throws UnusableOriginal
     */
    public function __construct(public string $id, public BlockKind $kind, public string $text)
    {
        if (1 !== preg_match('/^[a-z0-9-]{1,40}$/', $id)) {
            throw UnusableOriginal::badId($id);
        }
        if (mb_strlen($text) > self::MAX_TEXT) {
            throw UnusableOriginal::blockTooLong(mb_strlen($text), self::MAX_TEXT);
        }
    }

    public function isEmpty(): bool
    {
        return 1 !== preg_match('/[^\s\p{Z}]/u', $this->text);
    }
}
