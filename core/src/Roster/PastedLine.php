<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster;

use FreshHuddle\Core\Message;

/**
 * What became of one line of a pasted list.
 */
final readonly class PastedLine
{
    /**
     * @param int            $line    counted from 1, blank lines included
     * @param string         $text    the line as it was pasted, shortened to 200 signs
     * @param PastedLineFate $fate    taken, or why not
     * @param string         $name    the name read from it; '' where none could be
     * @param Message|null   $message for the teacher; null for a line that was simply taken
     */
    public function __construct(
        public int $line,
        public string $text,
        public PastedLineFate $fate,
        public string $name,
        public ?Message $message = null,
    ) {
    }
}
