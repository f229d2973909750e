<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\StudentRecord;

/**
 * What an import does with one row.
 */
final readonly class ImportLine
{
    /**
     * @param int                $line    where it came from, from 1
     * @param string             $shown   the row as it stands there, shortened
     * @param string|null        $student id of the student it changes or leaves alone
     * @param StudentRecord|null $record  null for a refused row
     * @param list<Message>      $changes what changes
     * @param Message|null       $message why it was refused, or something worth knowing
     */
    public function __construct(
        public int $line,
        public string $shown,
        public ImportFate $fate,
        public ?string $student,
        public ?StudentRecord $record,
        public array $changes = [],
        public ?Message $message = null,
    ) {
    }
}
