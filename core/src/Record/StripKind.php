<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * Where somebody was, as a stretch of their strip.
 */
enum StripKind: string
{
    case Main = 'main';
    case Group = 'group';
    case SideRoom = 'sideRoom';
    /** Not where they should have been, or on the way there. */
    case Elsewhere = 'elsewhere';
    /** No sign of them. */
    case Away = 'away';
}
