<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;

/**
 * A way of putting a class into groups.
 */
interface Method
{
    /**
     * @param list<string>       $students ids of those to be seated, each once
     * @param int                $seed     the same input and seed give the same floor on every machine
     * @param callable(): string $newId    an id for a table that is not there yet, another at each call
     *
     * @return Floor the floor with the same group ids, names and fixed seats as far as it had them
     *
     * @throws ImpossibleShape
     */
    public function place(Floor $floor, array $students, Shape $shape, int $seed, callable $newId): Floor;
}
