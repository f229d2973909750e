<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\DryRun\Draw;
use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Live\Visit\VisitOrder;

/**
 * Somebody who teaches and goes from group to group, in the order of visits, while a lesson is rehearsed.
 */
final class Walk
{
    private ?Table $with = null;
    private int $freeAt = 0;
    /** When they are there: until then they are on the way. */
    private int $thereAt = 0;

    public function __construct(private readonly Draw $draw)
    {
    }

    /**
     * @param array<string, Table>      $tables by id
     * @param callable(): list<GroupAt> $groups how they stand, in the same order
     */
    public function goOn(array $tables, callable $groups, int $now, int $outAt): void
    {
        if (null !== $this->with) {
            if ($now >= $this->thereAt && !$this->with->isVisited) {
                $this->arrive($this->with, $now);
            }
            if ($now < $this->freeAt) {
                return;
            }
            $this->leave($now);
        }
        $next = VisitOrder::forGroups($groups(), $now, $outAt)[0] ?? null;
        if (null === $next) {
            return;
        }
        $this->with = $tables[$next->group];
        $this->with->isTaken = true;
        // Into another room and a look at what stands there; then a minute, more where there is a question.
        $this->thereAt = $now + (int) (1_000 * $this->draw->around(10, 0.4));
        $stay = $this->with->isCalling() ? 90 : 45;
        $this->freeAt = $this->thereAt + (int) (1_000 * $this->draw->around($stay, 0.4));
    }

    /** Everybody is called back. */
    public function end(int $now): void
    {
        $this->leave($now);
    }

    private function arrive(Table $table, int $now): void
    {
        $table->isVisited = true;
        ++$table->visits;
        $table->answer($now);
    }

    private function leave(int $now): void
    {
        if (null === $this->with) {
            return;
        }
        if ($this->with->isVisited) {
            $this->with->visitedAt = $now;
        }
        $this->with->isVisited = $this->with->isTaken = false;
        $this->with = null;
    }
}
