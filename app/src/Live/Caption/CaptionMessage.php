<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * A line of what is said in a room, for those who are in it and for the staff.
 */
final readonly class CaptionMessage implements StaffMessage, StudentMessage
{
    /**
     * @param string   $place `main`, or the id of a group or a side room
     * @param int|null $seq   always null: it is no event of the lesson
     */
    public function __construct(public string $place, public CaptionView $caption, public ?int $seq = null)
    {
    }

    public static function kind(): string
    {
        return 'caption';
    }
}
