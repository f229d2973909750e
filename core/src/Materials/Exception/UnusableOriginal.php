<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

final class UnusableOriginal extends Refused
{
    public static function badTitle(int $limit): self
    {
        return new self(new Message('materials.original.title', ['most' => $limit]));
    }

    public static function badId(string $id): self
    {
        return new self(new Message('materials.original.bad_id', ['id' => mb_substr($id, 0, 40)]));
    }

    public static function doubledId(string $id): self
    {
        return new self(new Message('materials.original.doubled_id', ['id' => $id]));
    }

    public static function withoutSlot(): self
    {
        return new self(new Message('materials.original.without_slot'));
    }

    public static function emptySlot(): self
    {
        return new self(new Message('materials.original.empty_slot'));
    }

    public static function blockTooLong(int $length, int $limit): self
    {
        return new self(new Message('materials.original.block_too_long', ['length' => $length, 'most' => $limit]));
    }

    public static function tooManyBlocks(int $limit): self
    {
        return new self(new Message('materials.original.too_many_blocks', ['most' => $limit]));
    }
}
