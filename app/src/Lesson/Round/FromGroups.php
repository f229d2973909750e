<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

/**
 * What becomes of the groups of a lesson that another one begins from.
 */
enum FromGroups: string
{
    /** The same groupings, with their groups and rooms. */
    case Same = 'same';
    /** The same way of grouping; the seats are to be filled anew, with new partners. */
    case NewPartners = 'newPartners';
}
