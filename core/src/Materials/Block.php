<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Slot\SlotKind;
use FreshHuddle\Core\Visible;

/**
 * A piece of an original: something to read, or a slot with its prompt.
 */
final readonly class Block
{
    public const MAX_TEXT = 20_000;
    public const ID = '/^[a-z0-9-]{1,40}$/D';

    /**
     * @param string             $id stays the same while the block is edited, so that answers stay with their slot: 1
     *     to 40 of a-z, 0-9, -
     * @param string             $text the text, the words of a link, or the slot's prompt; '' while it is not written
     *     yet
     * @param list<BlockVariant> $variants where it says something else in a variant
     *
     * @throws UnusableOriginal
     */
    public function __construct(
        public string $id,
        public BlockKind $kind,
        public string $text,
        public BlockSettings $settings = new BlockSettings(),
        public array $variants = [],
    ) {
        if (1 !== preg_match(self::ID, $id)) {
            throw UnusableOriginal::badId($id);
        }
        if (mb_strlen($text) > self::MAX_TEXT) {
            throw UnusableOriginal::blockTooLong(mb_strlen($text), self::MAX_TEXT);
        }
        $settings->check();
        foreach ($variants as $variant) {
            if (max(mb_strlen($variant->text), mb_strlen($variant->passage)) > self::MAX_TEXT) {
                throw UnusableOriginal::blockTooLong(
                    max(mb_strlen($variant->text), mb_strlen($variant->passage)),
                    self::MAX_TEXT,
                );
            }
        }
    }

    /**
     * The block as it is in a variant.
     */
    public function in(string $variant): self
    {
        foreach ($this->variants as $other) {
            if ($other->variant === $variant) {
                return new self(
                    $this->id,
                    $this->kind,
                    $other->text,
                    '' === $other->passage ? $this->settings : $this->settings->withPassage($other->passage),
                );
            }
        }

        return [] === $this->variants ? $this : new self($this->id, $this->kind, $this->text, $this->settings);
    }

    /**
     * How students fill it; null where there is nothing to fill.
     */
    public function slot(): ?SlotKind
    {
        return $this->kind->slot();
    }

    public function isEmpty(): bool
    {
        return !Visible::check($this->text.$this->settings->address.$this->settings->media);
    }

    public function isLike(self $other): bool
    {
        return json_encode($this) === json_encode($other);
    }

    /**
     * Whether students are told what to do in it.
     */
    public function hasPrompt(): bool
    {
        return Visible::check($this->text);
    }
}
