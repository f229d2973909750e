<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

/**
 * A note of the teacher's in the margin, and its answers.
 */
final readonly class MarginNoteView
{
    /**
     * @param string      $slot       the place it stands beside
     * @param string|null $owner      the student whose answer it is about; null: the place itself
     * @param string      $by         name of who wrote it
     * @param int         $at         milliseconds since 1970
     * @param int|null    $seenAt     when one of the group first saw it; milliseconds since 1970
     * @param string      $answer     '' for none yet
     * @param string|null $answeredBy id of the student who answered
     */
    public function __construct(
        public string $id,
        public string $slot,
        public ?string $owner,
        public string $by,
        public string $text,
        public int $at,
        public ?int $seenAt,
        public string $answer,
        public ?string $answeredBy,
        public ?int $answeredAt,
    ) {
    }

    public static function fromNote(MarginNote $note): self
    {
        return new self(
            $note->id,
            $note->slot,
            $note->owner,
            $note->author->name,
            $note->text,
            $note->at,
            $note->seenAt,
            $note->answer,
            $note->answeredBy,
            $note->answeredAt,
        );
    }
}
