<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * How a simulated student gets to where they are to be: after a moment, perhaps by a wrong way, perhaps only when they
 * are called once more.
 */
final class Moving
{
    /** So long somebody stays in the wrong place without a word. Seconds, in the middle. */
    private const ASTRAY = 40;
    /** So long somebody doesn't notice what their page tells. Seconds, on average. */
    private const UNNOTICED = 90;
    /** Whom their page takes along by itself are there after so many milliseconds. */
    private const TAKEN = 700;
    /** Seconds to a press that is waited for, in the middle. */
    private const PRESSES = 1.2;

    public int $again = Mind::NEVER;
    /** Where they are to be as they know it: place and moment. */
    private string $told = '';
    private int $goesAt = 0;
    private ?int $calledAt = null;
    private bool $goesAstray = false;
    /** When they take note of the countdown that runs; null: there was none. */
    private ?int $heedsAt = null;

    /**
     * @param string|null $at where they are
     */
    public function __construct(
        private readonly Behaviour $behaviour,
        private readonly Draw $draw,
        private ?string $at = null,
    ) {
    }

    public function isAt(?string $place): bool
    {
        return null !== $place && $place === $this->at;
    }

    /** They were off, and have to find their way anew. */
    public function forget(): void
    {
        [$this->at, $this->told] = [null, ''];
    }

    public function next(Sight $sight, int $now): ?Act
    {
        $this->again = Mind::NEVER;
        if (null !== $sight->leavesAt) {
            $this->heedsAt ??= $now + $this->reaction();
        }
        if (null === $sight->place || $this->isAt($sight->place)) {
            $this->goesAstray = false;

            return null;
        }
        $this->hear($sight, $now);
        if ($now < $this->goesAt) {
            $this->again = $this->goesAt;

            return null;
        }
        if ($this->goesAstray) {
            $this->goesAstray = false;
            $this->goesAt = $now + (int) (1_000 * $this->draw->around(self::ASTRAY, 0.6));
            $this->again = $this->goesAt;
            $this->at = null;

            return new Act(ActKind::WalkOff);
        }
        $this->at = $sight->place;

        return new Act(ActKind::Go, place: $sight->place);
    }

    /** What is new on the page: somewhere else to be, or a call to go there now. */
    private function hear(Sight $sight, int $now): void
    {
        $told = $sight->place.'|'.$sight->since;
        if ($told !== $this->told) {
            $this->told = $told;
            $this->calledAt = $sight->fetchedAt;
            if ($sight->takesIn) {
                $this->heedsAt = null;
                $this->goesAt = $now + self::TAKEN;

                return;
            }
            // Whoever has seen the countdown presses as soon as there is something to press.
            $this->goesAt =
                null === $this->heedsAt
                    ? $now + $this->reaction()
                    : max($this->heedsAt, $now) + (int) (1_000 * $this->draw->around(self::PRESSES, 0.5));
            $this->heedsAt = null;
            $this->goesAstray = $this->draw->chance($this->behaviour->strays);
        } elseif ($sight->fetchedAt !== $this->calledAt) {
            $this->calledAt = $sight->fetchedAt;
            $this->goesAstray = false;
            $this->goesAt = min(
                $this->goesAt,
                $now + (int) (1_000 * $this->draw->around($this->behaviour->reacts, 0.5)),
            );
        }
    }

    /**
     * @return int milliseconds until they do what their page tells
     */
    private function reaction(): int
    {
        return (int) (1_000 *
            ($this->draw->chance($this->behaviour->overlooks)
                ? $this->draw->waiting(self::UNNOTICED)
                : $this->draw->around($this->behaviour->reacts, 0.5)));
    }
}
