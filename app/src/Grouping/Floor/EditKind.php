<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

/**
 * The kinds of change of the groups.
 */
enum EditKind: string
{
    case Seat = 'seat';
    case Swap = 'swap';
    case Shelve = 'shelve';
    case Fix = 'fix';
    case Free = 'free';
    case Rename = 'rename';
    case AddTable = 'addTable';
    case RemoveTable = 'removeTable';
    /** Some of a table go to a new one. */
    case Split = 'split';
    /** Everybody of a table goes to another one, and the table goes. */
    case Merge = 'merge';
}
