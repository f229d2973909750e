<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\Core\Materials\Block;

/**
 * What somebody, or a group, has written in one place.
 */
final readonly class AnswerView
{
    /**
     * @param string   $owner  the student whose answer it is; the copy's id for an answer together
     * @param string   $author who wrote last
     * @param int      $at     when, milliseconds since 1970
     * @param float    $share  how much of the slot is done, 0 to 1 (SlotKind)
     * @param int|null $caret  where the writer was, just now: signs in front of the caret; null where that is not known
     */
    public function __construct(
        public string $slot,
        public string $owner,
        public string $text,
        public int $revision,
        public string $author,
        public int $at,
        public float $share = 0.0,
        public ?int $caret = null,
    ) {
    }

    public function writtenAt(?int $caret): self
    {
        return new self(
            $this->slot,
            $this->owner,
            $this->text,
            $this->revision,
            $this->author,
            $this->at,
            $this->share,
            $caret,
        );
    }

    public function in(?Block $block): self
    {
        $kind = $block?->slot();

        return null === $block || null === $kind
            ? $this
            : new self(
                $this->slot,
                $this->owner,
                $this->text,
                $this->revision,
                $this->author,
                $this->at,
                round($kind->share($this->text, $block), 3),
                $this->caret,
            );
    }
}
