<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * The worksheet cannot be kept as it is.
 */
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

    public static function withoutContent(): self
    {
        return new self(new Message('materials.original.without_content'));
    }

    public static function tooManyVariants(int $limit): self
    {
        return new self(new Message('materials.original.too_many_variants', ['most' => $limit]));
    }

    /**
     * @param string $code what it lacks
     */
    public static function unfinished(string $code, string $prompt): self
    {
        return new self(new Message($code, ['slot' => mb_substr($prompt, 0, 60)]));
    }

    public static function tooManyItems(int $items, int $heads): self
    {
        return new self(new Message('materials.original.too_many_items', ['most' => $items, 'heads' => $heads]));
    }

    public static function badSeat(int $seat, int $highest): self
    {
        return new self(new Message('materials.original.bad_seat', ['seat' => $seat, 'most' => $highest]));
    }

    public static function tooManySeats(int $limit): self
    {
        return new self(new Message('materials.original.too_many_seats', ['most' => $limit]));
    }

    public static function badAddress(string $address): self
    {
        return new self(new Message('materials.original.bad_address', ['address' => mb_substr($address, 0, 80)]));
    }

    /**
     * @param int $line of a file, from 1
     */
    public static function unreadableLine(int $line): self
    {
        return new self(new Message('materials.original.unreadable_line', ['line' => $line]));
    }

    public static function tooManyPages(int $limit): self
    {
        return new self(new Message('materials.original.too_many_pages', ['most' => $limit]));
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
