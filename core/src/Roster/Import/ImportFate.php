<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * What becomes of a line of an imported list.
 */
enum ImportFate: string
{
    case Added = 'added';
    case Changed = 'changed';
    /** In the class already, just so. */
    case Same = 'same';
    case Refused = 'refused';
}
