<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

final readonly class AnswerView
{
    /**
     * @param string   $owner  the student whose answer it is; the copy's id for an answer together
     * @param string   $author who wrote last
     * @param int      $at     when, milliseconds since 1970
     * @param int|null $caret  where the writer was, just now: signs in front of the caret; null where that is not known
     */
    public function __construct(
        public string $slot,
        public string $owner,
        public string $text,
        public int $revision,
        public string $author,
        public int $at,
        public ?int $caret = null,
    ) {
    }

    public function writtenAt(?int $caret): self
    {
        return new self($this->slot, $this->owner, $this->text, $this->revision, $this->author, $this->at, $caret);
    }
}
