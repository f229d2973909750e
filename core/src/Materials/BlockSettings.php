<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Exception\UnusableOriginal;

/**
 * What a block has beside its text. Each kind reads what it has a use for and leaves the rest alone.
 */
final readonly class BlockSettings
{
    public const MOST_ITEMS = 60;
    public const MOST_HEADS = 12;
    public const LONGEST_ITEM = 2_000;
    public const MEDIA = '/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D';

    /**
     * @param list<BlockItem> $items   cards, lines to tick, rows, sentences to mend, options
     * @param list<BlockItem> $heads   headings of a sort, columns of a table, kinds of marks
     * @param string          $passage the text to mark in
     * @param string          $address where a link leads
     * @param bool            $alone   everybody for themselves (lines to tick)
     * @param bool            $several more than one option may be chosen
     * @param bool            $growing students may add rows, or cards
     * @param bool            $shown   what others chose can be seen
     * @param string          $media   the picture or the recording: its id, a UUID; '' while there is none
     * @param SlotPart        $part    for whom of the group a slot is
     */
    public function __construct(
        public array $items = [],
        public array $heads = [],
        public string $passage = '',
        public string $address = '',
        public bool $alone = false,
        public bool $several = false,
        public bool $growing = false,
        public bool $shown = true,
        public string $media = '',
        public SlotPart $part = new SlotPart(),
    ) {
    }

    public function withPassage(string $passage): self
    {
        return new self(
            $this->items,
            $this->heads,
            $passage,
            $this->address,
            $this->alone,
            $this->several,
            $this->growing,
            $this->shown,
            $this->media,
            $this->part,
        );
    }

    /**
     * @param list<BlockItem> $items
     */
    public function withItems(array $items): self
    {
        return new self(
            $items,
            $this->heads,
            $this->passage,
            $this->address,
            $this->alone,
            $this->several,
            $this->growing,
            $this->shown,
            $this->media,
            $this->part,
        );
    }

    /**
     * @param string $media an id; '' for none
     */
    public function withMedia(string $media): self
    {
        return new self(
            $this->items,
            $this->heads,
            $this->passage,
            $this->address,
            $this->alone,
            $this->several,
            $this->growing,
            $this->shown,
            $media,
            $this->part,
        );
    }

    public function item(string $id): ?BlockItem
    {
        return self::find($this->items, $id);
    }

    public function head(string $id): ?BlockItem
    {
        return self::find($this->heads, $id);
    }

    /**
     * @throws UnusableOriginal
     */
    public function check(): void
    {
        if (\count($this->items) > self::MOST_ITEMS || \count($this->heads) > self::MOST_HEADS) {
            throw UnusableOriginal::tooManyItems(self::MOST_ITEMS, self::MOST_HEADS);
        }
        if (mb_strlen($this->passage) > Block::MAX_TEXT) {
            throw UnusableOriginal::blockTooLong(mb_strlen($this->passage), Block::MAX_TEXT);
        }
        $this->part->check();
        foreach ([$this->items, $this->heads] as $list) {
            $ids = [];
            foreach ($list as $item) {
                if (1 !== preg_match(Block::ID, $item->id)) {
                    throw UnusableOriginal::badId($item->id);
                }
                if (isset($ids[$item->id])) {
                    throw UnusableOriginal::doubledId($item->id);
                }
                $ids[$item->id] = true;
                if (mb_strlen($item->text) > self::LONGEST_ITEM) {
                    throw UnusableOriginal::blockTooLong(mb_strlen($item->text), self::LONGEST_ITEM);
                }
            }
        }
        if ('' !== $this->media && 1 !== preg_match(self::MEDIA, $this->media)) {
            throw UnusableOriginal::badId($this->media);
        }
        if ('' !== $this->address && 1 !== preg_match('~^https?://[^\s/@:]+(:\d+)?(/\S*)?$~D', $this->address)) {
            throw UnusableOriginal::badAddress($this->address);
        }
    }

    /**
     * @param list<BlockItem> $list
     */
    private static function find(array $list, string $id): ?BlockItem
    {
        foreach ($list as $item) {
            if ($item->id === $id) {
                return $item;
            }
        }

        return null;
    }
}
