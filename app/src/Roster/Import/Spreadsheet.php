<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;

/**
 * A format spreadsheets are kept in, read as a stream: as many rows and columns as a class list can have, and no more.
 */
interface Spreadsheet
{
    public function reads(Package $package): bool;

    /**
     * @return iterable<iterable<int, list<string>>> its sheets in order: rows by line, from 0; no row longer than
     *                                               Sheet::MAX_COLUMNS, no more rows than Sheet::MAX_ROWS
     *
     * @throws RosterRefused if it is damaged
     */
    public function sheets(Package $package): iterable;
}
