<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

/**
 * Why a device no longer speaks for a student.
 */
enum DeviceEnd: string
{
    /** Another device has the name now. */
    case OtherDevice = 'otherDevice';
    /** The teacher has freed the name. */
    case Freed = 'freed';
}
