<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

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
}
