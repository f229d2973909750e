<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * A record's file cannot be read.
 */
final class UnreadableRecord extends Refused
{
    /**
     * @param string $where the place in the file, as `facts.runs[0].seats[3].to`
     */
    public static function at(string $where): self
    {
        return new self(new Message('record.file.unreadable', ['where' => $where]));
    }
}
