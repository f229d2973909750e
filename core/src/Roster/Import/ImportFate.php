<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

enum ImportFate: string
{
    case Added = 'added';
    case Changed = 'changed';
    /** In the class already, just so. */
    case Same = 'same';
    case Refused = 'refused';
}
