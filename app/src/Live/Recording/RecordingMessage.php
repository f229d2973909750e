<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * A room is being recorded from now on, or no longer: for those who belong there, and for the staff.
 */
final readonly class RecordingMessage implements StaffMessage, StudentMessage
{
    /**
     * @param string   $place `main`, or the id of a group or a side room
     * @param int|null $seq   always null: it is no event of the lesson
     */
    public function __construct(public string $place, public bool $on, public ?int $seq = null)
    {
    }

    public static function kind(): string
    {
        return 'recording';
    }
}
