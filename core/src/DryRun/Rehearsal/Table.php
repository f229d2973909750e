<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\DryRun\Blank;
use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Live\Work\Progress;

/**
 * A group at work while a lesson is rehearsed: what stands on its worksheet, whether it calls, who is with it.
 */
final class Table
{
    private ?int $calledAt = null;
    /** @var list<float> how long each call waited, in seconds */
    private array $waits = [];
    public ?int $visitedAt = null;
    public int $visits = 0;
    /** Somebody is with it. */
    public bool $isVisited = false;
    /** Somebody is with it, or on the way there. */
    public bool $isTaken = false;
    private ?int $changedAt = null;
    private ?int $doneAt = null;
    /** @var array<string, true> slots with something in them: of one's own with the student */
    private array $filled = [];
    /** @var array<string, array{string, int}> who wrote last in a slot of the group's, and when */
    private array $writers = [];
    /** @var array<array-key, true> who has written */
    private array $active = [];

    public function __construct(public readonly PlannedTable $plan)
    {
    }

    public function isCalling(): bool
    {
        return null !== $this->calledAt;
    }

    /** Who calls already keeps their place. */
    public function call(int $now): void
    {
        $this->calledAt ??= $now;
    }

    /** Somebody has come, or the round is over. */
    public function answer(int $now): void
    {
        if (null !== $this->calledAt) {
            $this->waits[] = ($now - $this->calledAt) / 1_000;
            $this->calledAt = null;
        }
    }

    /**
     * @return list<float> how long each call waited, in seconds
     */
    public function waits(): array
    {
        return $this->waits;
    }

    /**
     * @param int $members who work here now
     */
    public function write(string $student, string $slot, int $members, int $now): void
    {
        foreach ($this->plan->blanks as $blank) {
            if ($blank->slot === $slot) {
                $this->filled[$blank->isOwn ? $slot.'|'.$student : $slot] = true;
                if (!$blank->isOwn) {
                    $this->writers[$slot] = [$student, $now];
                }
                $this->changedAt = $now;
                $this->active[$student] = true;
            }
        }
        if (null === $this->doneAt && $this->progress($members) >= 1.0) {
            $this->doneAt = $now;
        }
    }

    /**
     * @return int|null when something stood in every place for the first time
     */
    public function doneAt(): ?int
    {
        return $this->doneAt;
    }

    /**
     * @return list<Blank> as this student's page shows them
     */
    public function blanks(string $student, int $now): array
    {
        $blanks = [];
        foreach ($this->plan->blanks as $blank) {
            [$writer, $at] = $this->writers[$blank->slot] ?? ['', 0];
            $blanks[] = new Blank(
                $blank->slot,
                $blank->isOwn,
                $blank->words,
                $blank->letters,
                isset($this->filled[$blank->isOwn ? $blank->slot.'|'.$student : $blank->slot]),
                '' !== $writer && $writer !== $student && $now - $at < Blank::WRITES_ON,
            );
        }

        return $blanks;
    }

    /**
     * @param int $members who work here
     *
     * @return float how much of its work is done, 0 to 1
     */
    public function progress(int $members): float
    {
        $places = 0;
        foreach ($this->plan->blanks as $blank) {
            $places += $blank->isOwn ? $members : 1;
        }

        return (new Progress(\count($this->filled), $places))->share();
    }

    /**
     * @param int $members who have come
     * @param int $missing of them not in place
     */
    public function at(int $members, int $missing): GroupAt
    {
        return new GroupAt(
            $this->plan->id,
            $this->calledAt,
            $this->visits,
            $this->visitedAt,
            $this->isTaken,
            $this->changedAt,
            $this->progress($members),
            $missing,
            max(0, $members - \count($this->active)),
            0 === $members,
        );
    }
}
