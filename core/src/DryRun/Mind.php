<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * One simulated student in a lesson: is shown what their page shows, and says what they do. Whoever asks does it, in a
 * rehearsal, in practice or over HTTP. The same behaviour, seed and sights give the same acts. It remembers, and finds
 * its way when it is asked anew in the middle of a lesson.
 */
final class Mind
{
    /** Nothing to wait for: it is asked again when its page changes. */
    public const NEVER = \PHP_INT_MAX;

    /** When it will do something next if its page stays as it is. Milliseconds since 1970. */
    public int $again;

    private readonly Draw $draw;
    private bool $hasAsked = false;
    private bool $hasSecond = false;
    private bool $isCut = false;
    /** When they are back who are off. */
    private ?int $offUntil = null;
    private ?int $offAt = null;
    private Moving $moving;
    private Writing $writing;

    /**
     * @param string|null $at where they have been seen last: for one that begins in the middle
     */
    public function __construct(
        private readonly Behaviour $behaviour,
        private readonly int $beginsAt,
        int $seed,
        string $student,
        ?string $at = null,
    ) {
        $this->draw = Draw::for($seed, $student, 'course');
        $this->moving = new Moving($behaviour, $this->draw, $at);
        $this->writing = new Writing($behaviour, $this->draw);
        $this->again = null === $behaviour->arrivesAt ? self::NEVER : $beginsAt + $behaviour->arrivesAt;
    }

    /**
     * @param int $now milliseconds since 1970; not before the last one
     *
     * @return list<Act> in their order
     *
     * Complexity: O(slots)
     */
    public function look(Sight $sight, int $now): array
    {
        $arrives = $this->behaviour->arrivesAt;
        if (null === $arrives || $now < $this->beginsAt + $arrives) {
            $this->again = null === $arrives ? self::NEVER : $this->beginsAt + $arrives;

            return [];
        }
        $this->again = self::NEVER;
        if ($this->line($now, $acts)) {
            return $acts;
        }
        if (!$this->hasAsked && !$sight->isIn) {
            $this->hasAsked = true;
            $acts[] = new Act(ActKind::Arrive, $this->behaviour->types);

            return $acts;
        }
        $this->hasAsked = true;
        if (!$sight->isIn) {
            return $acts;
        }
        $this->second($now, $acts);
        if ($this->off($sight, $now, $acts)) {
            return $acts;
        }
        if (null !== ($act = $this->moving->next($sight, $now))) {
            $acts[] = $act;
        }
        $this->comeBackAt($this->moving->again);
        if ($this->moving->isAt($sight->place)) {
            array_push($acts, ...$this->writing->next($sight, $now));
            $this->comeBackAt($this->writing->again);
        }

        return $acts;
    }

    private function comeBackAt(int $moment): void
    {
        $this->again = min($this->again, $moment);
    }

    /**
     * @param list<Act>|null $acts
     *
     * @param-out list<Act> $acts
     *
     * @return bool it is away
     */
    private function line(int $now, ?array &$acts): bool
    {
        $acts = [];
        $isCut = false;
        foreach ($this->behaviour->cuts as [$from, $until]) {
            if ($now < $this->beginsAt + $from) {
                $this->comeBackAt($this->beginsAt + $from);
            } elseif (null === $until || $now < $this->beginsAt + $until) {
                $isCut = true;
                $this->comeBackAt(null === $until ? self::NEVER : $this->beginsAt + $until);
            }
        }
        if ($isCut !== $this->isCut && $this->hasAsked) {
            $acts[] = new Act($isCut ? ActKind::LoseLine : ActKind::FindLine);
        }
        $this->isCut = $isCut;

        return $isCut;
    }

    /**
     * @param list<Act> $acts
     */
    private function second(int $now, array &$acts): void
    {
        if (null === $this->behaviour->secondAt || $this->hasSecond) {
            return;
        }
        $at = $this->beginsAt + max(0, $this->behaviour->secondAt);
        if ($now < $at) {
            $this->comeBackAt($at);

            return;
        }
        $this->hasSecond = true;
        $acts[] = new Act(ActKind::ArriveAgain, $this->behaviour->types);
    }

    /**
     * @param list<Act> $acts
     *
     * @return bool they are off with something else
     */
    private function off(Sight $sight, int $now, array &$acts): bool
    {
        if (null !== $this->offUntil) {
            // Who is called by name looks up.
            if ($now < $this->offUntil && ($sight->fetchedAt ?? 0) <= $this->offAt) {
                $this->comeBackAt($this->offUntil);

                return true;
            }
            [$this->offUntil, $this->offAt] = [null, null];
            $this->moving->forget();
        }
        if (!$sight->isWorking) {
            $this->offAt = null;

            return false;
        }
        $this->offAt ??= $now + (int) (60_000 * $this->draw->waiting($this->behaviour->wanders));
        if ($now < $this->offAt) {
            $this->comeBackAt($this->offAt);

            return false;
        }
        $this->offAt = $now;
        $this->offUntil = $now + Behaviours::away($this->draw);
        $this->comeBackAt($this->offUntil);
        $acts[] = new Act(ActKind::WalkOff);

        return true;
    }
}
