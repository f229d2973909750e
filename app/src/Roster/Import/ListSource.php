<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\Core\Roster\Import\Sheet;

/**
 * A kind of file class lists come in.
 */
interface ListSource
{
    public function reads(string $bytes): bool;

    /**
     * @param string|null $packageClass which class of a package that holds several
     *
     * @throws RosterRefused with what is wrong with the file
     */
    public function sheet(string $bytes, ?string $packageClass): Sheet;
}
