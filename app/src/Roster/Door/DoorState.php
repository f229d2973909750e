<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

/**
 * Where somebody who wants to join stands.
 */
enum DoorState: string
{
    /** The device speaks for a student. */
    case In = 'in';
    /** In the doorway, until the teacher says who it is. */
    case Waiting = 'waiting';
    /** The teacher has said “not now”. */
    case NotNow = 'notNow';
    case Outside = 'outside';
}
