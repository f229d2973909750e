<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * A margin note was written, seen or answered; or deleted.
 */
final readonly class MarginMessage implements StaffMessage, StudentMessage
{
    /**
     * @param MarginNoteView|null $note null: it was deleted
     * @param string|null         $gone the id of the one that was deleted
     */
    public function __construct(public string $copy, public ?MarginNoteView $note, public ?string $gone)
    {
    }

    public static function kind(): string
    {
        return 'margin';
    }
}
