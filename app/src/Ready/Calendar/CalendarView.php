<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Calendar;

/**
 * The address of a teacher's calendar.
 */
final readonly class CalendarView
{
    /**
     * @param string $address whoever has it sees the teacher's lessons
     */
    public function __construct(public string $address)
    {
    }
}
