<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Visit;

use FreshHuddle\Core\Live\Work\Stillness;

/**
 * How a group stands at a moment, as far as whoever goes round can know it. Moments are milliseconds since 1970.
 */
final readonly class GroupAt
{
    /**
     * @param int|null $calledAt  since when it calls; null: it does not
     * @param int      $visits    how often somebody has been there in this round
     * @param int|null $visitedAt when the last visit ended; null: nobody has been there
     * @param bool     $visited   somebody is there now
     * @param int|null $changedAt when anything of its work changed last; null: never
     * @param float    $progress  how much of its work has something in it, 0 to 1
     * @param int      $missing   members who are not in place
     * @param int      $silent    members who have written nothing
     * @param bool     $nobody    none of its members is there: it cannot be still
     */
    public function __construct(
        public string $id,
        public ?int $calledAt = null,
        public int $visits = 0,
        public ?int $visitedAt = null,
        public bool $visited = false,
        public ?int $changedAt = null,
        public float $progress = 0.0,
        public int $missing = 0,
        public int $silent = 0,
        public bool $nobody = false,
    ) {
    }

    /**
     * @param int $outAt since when groups have been at work
     */
    public function isStill(int $outAt, int $now): bool
    {
        return !$this->nobody && Stillness::isStill($this->still($outAt), $this->progress >= 1.0, $now);
    }

    /**
     * @param int $outAt since when groups have been at work
     *
     * @return int|null since when it is taken to call; null: it is not
     */
    public function callsSince(int $outAt, int $now): ?int
    {
        return $this->calledAt ??
            ($this->nobody ? null : Stillness::callingSince($this->still($outAt), $this->progress >= 1.0, $now));
    }

    /**
     * @param int $outAt since when groups have been at work
     *
     * @return int since when nothing has stirred there
     */
    public function still(int $outAt): int
    {
        return Stillness::since($this->changedAt, $this->visitedAt, $outAt);
    }
}
