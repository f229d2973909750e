<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\DryRun\Act;
use FreshHuddle\Core\DryRun\ActKind;
use FreshHuddle\Core\DryRun\Mind;
use FreshHuddle\Core\DryRun\Sight;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\Observability;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * A simulated student in a rehearsal: what they do, and what is known of them.
 */
final class Person
{
    public bool $isIn = false;
    public ?int $fetchedAt = null;
    /** Where they really are. */
    private ?string $at = null;
    private bool $isLooking = false;
    /** When their line was cut. */
    private ?int $pageAt = null;
    private ?int $wentAt = null;

    public function __construct(public readonly string $id, public readonly Mind $mind)
    {
    }

    /**
     * @return list<Act> what is left for others to take note of
     */
    public function act(Sight $sight, int $now): array
    {
        $acts = $this->mind->look($sight, $now);
        foreach ($acts as $act) {
            match ($act->kind) {
                ActKind::Arrive => $this->arrive(),
                ActKind::Go => $this->go($act->place, $now),
                ActKind::WalkOff => $this->go(null, $now),
                ActKind::LoseLine => $this->lose($now),
                ActKind::FindLine => ($this->isLooking = true),
                default => null,
            };
        }

        return $acts;
    }

    /**
     * Where they are as a teacher's screen says it.
     */
    public function whereabouts(?string $expected, int $since, int $now, Observability $sight): Place
    {
        $evidence = new Evidence(
            Observability::Service === $sight && $this->isLooking ? $this->at : null,
            Observability::Service === $sight ? $this->wentAt : null,
            $this->at,
            $this->wentAt,
            $this->isLooking ? $now : $this->pageAt,
        );

        return Whereabouts::fromEvidence($evidence, $expected, $since, $now, $sight)->place;
    }

    private function arrive(): void
    {
        $this->isIn = $this->isLooking = true;
    }

    private function lose(int $now): void
    {
        [$this->isLooking, $this->pageAt] = [false, $now];
    }

    private function go(?string $place, int $now): void
    {
        $this->at = $place;
        $this->wentAt = $now;
    }
}
