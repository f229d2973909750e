<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

/**
 * Who comes in by themselves.
 */
enum DoorMode: string
{
    /** Whoever is on the list. */
    case Open = 'open';
    /** Nobody: everybody waits in the doorway until the teacher lets them in, one by one or all at once. */
    case Checked = 'checked';
    /** Only who has a pass; others may wait in the doorway. */
    case PassOnly = 'passOnly';
}
