<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Work;

/**
 * How far a group is with its work: in how many of its places something stands. An answer of each member counts for
 * itself.
 */
final readonly class Progress
{
    public int $filled;

    /**
     * @param int $filled places with something in them; those that are none any more do not count
     * @param int $places all of them; 0 for work with nothing to fill
     */
    public function __construct(int $filled, public int $places)
    {
        $this->filled = min($filled, $places);
    }

    /**
     * @return float 0 to 1; 0 for work with nothing to fill
     */
    public function share(): float
    {
        return 0 === $this->places ? 0.0 : $this->filled / $this->places;
    }

    /**
     * @param bool $saysSo   the group has said that it is done
     * @param bool $hasBegun something of it was done in this round: what came along from an earlier one is nobody's
     *                       work of today
     */
    public function isDone(bool $saysSo, bool $hasBegun = true): bool
    {
        return $saysSo || ($hasBegun && 0 < $this->places && $this->filled === $this->places);
    }
}
