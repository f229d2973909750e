<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Stream\Message\ClassPageMessage;
use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * What a class sees while its work is talked about has changed: whoever does not know this revision asks.
 */
final readonly class DebriefHint implements StaffMessage, StudentMessage, ClassPageMessage
{
    /**
     * @param int|null $seq of the event this comes from; null: of none that concerns everybody
     */
    public function __construct(public ?int $seq, public int $revision)
    {
    }

    public static function kind(): string
    {
        return 'debrief';
    }
}
