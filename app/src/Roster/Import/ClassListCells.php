<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\Core\Roster\Import\Sheet;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;

/**
 * As many columns as a class list can have, and no more.
 */
final class ClassListCells implements IReadFilter
{
    /** Filled cells of a whole file: 50 columns of the largest class. */
    public const MOST = 60_000;

    /** @var array<string, bool> by column */
    private array $columns = [];

    public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
    {
        return $this->columns[$columnAddress] ??=
            Coordinate::columnIndexFromString($columnAddress) <= Sheet::MAX_COLUMNS;
    }
}
