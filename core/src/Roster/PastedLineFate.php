<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster;

/**
 * What becomes of a pasted line.
 */
enum PastedLineFate: string
{
    case Taken = 'taken';
    /** A heading such as “Name”. */
    case Header = 'header';
    /** The same name stands further up in what was pasted. */
    case Doubled = 'doubled';
    /** The class has this name already. */
    case Known = 'known';
    /** Too long, or no letters in it. */
    case Refused = 'refused';
}
