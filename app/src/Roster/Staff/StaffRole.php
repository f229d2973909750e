<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Staff;

/**
 * What somebody is in a class.
 */
enum StaffRole: string
{
    /** Whose class it is. */
    case Owner = 'owner';
    /** May do everything an owner may. */
    case CoTeacher = 'coTeacher';
    /** Does all that happens live and reads all work; leaves the class list and the plan as they are. */
    case Assistant = 'assistant';
}
