<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * A column of a list: its heading and what it holds.
 */
final readonly class Column
{
    /**
     * @param string $heading also the name of the attribute or tag
     */
    public function __construct(public string $heading, public ColumnKind $kind)
    {
    }
}
