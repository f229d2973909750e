<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * How a simulated student works: reads, thinks, writes on, is stuck now and then and asks for help or sits still.
 */
final class Writing
{
    /** What has been typed is saved about so often, in milliseconds. */
    private const STRETCH = 6_000;
    /** Whoever finds nothing to do looks again after so many milliseconds. */
    private const LOOKS_AGAIN = 20_000;
    /** What a group writes together is talked about first: so many times as long. */
    private const TALKED_ABOUT = 4;
    private const WORDS =
        'because the light goes through it and we think that more water means less time so our answer is both of them '.
        'but not always first then in line three you can see why they change';

    public int $again = Mind::NEVER;
    private ?string $slot = null;
    private string $text = '';
    private int $letters = 0;
    /** When they do something next. */
    private int $busyUntil = 0;
    private bool $hasBegun = false;
    private ?int $stuckAt = null;
    private ?int $stuckUntil = null;
    private ?int $callsAt = null;

    public function __construct(private readonly Behaviour $behaviour, private readonly Draw $draw)
    {
    }

    /**
     * @return list<Act>
     */
    public function next(Sight $sight, int $now): array
    {
        $this->again = Mind::NEVER;
        if (!$sight->isWorking) {
            [$this->slot, $this->hasBegun, $this->stuckAt, $this->stuckUntil] = [null, false, null, null];

            return [];
        }
        if ($this->isStuck($sight, $now)) {
            return $this->ask($sight, $now);
        }
        if ($now < $this->busyUntil) {
            $this->again = min($this->busyUntil, $this->stuckAt ?? Mind::NEVER);

            return [];
        }
        $act = null;
        if (null === $this->slot) {
            $this->begin($sight, $now);
        } else {
            $act = $this->goOn($sight, $now);
        }
        $this->again = min($this->again, $this->stuckAt ?? Mind::NEVER);

        return null === $act ? [] : [$act];
    }

    private function isStuck(Sight $sight, int $now): bool
    {
        if (null !== $this->stuckUntil) {
            if ($now < $this->stuckUntil && !$sight->isHelped) {
                return true;
            }
            [$this->stuckUntil, $this->stuckAt, $this->callsAt] = [null, null, null];
        }
        $this->stuckAt ??= $now + (int) (60_000 * $this->draw->waiting($this->behaviour->stuck));
        if ($now < $this->stuckAt) {
            return false;
        }
        $this->stuckUntil = $now + Behaviours::stuckFor($this->draw);
        $this->callsAt = $this->draw->chance($this->behaviour->calls)
            ? $now + $this->draw->between(10_000, 90_000)
            : null;

        return true;
    }

    /**
     * @return list<Act>
     */
    private function ask(Sight $sight, int $now): array
    {
        $until = $this->stuckUntil ?? $now;
        if (null === $this->callsAt || $sight->isCalling) {
            $this->again = $until;

            return [];
        }
        if ($now < $this->callsAt) {
            $this->again = min($this->callsAt, $until);

            return [];
        }
        $this->callsAt = null;
        $this->again = $until;

        return [new Act(ActKind::Call)];
    }

    /** Looks for the next place to fill: their own first, then what nobody of the group writes in. */
    private function begin(Sight $sight, int $now): void
    {
        foreach ([true, false] as $isOwn) {
            foreach ($sight->blanks as $blank) {
                if ($blank->isOwn !== $isOwn || $blank->isFilled || $blank->isTaken) {
                    continue;
                }
                if (!$isOwn && $this->behaviour->isSilent) {
                    continue;
                }
                $this->slot = $blank->slot;
                $this->text = '';
                $this->letters = Behaviours::letters($this->draw, $blank->letters);
                $words = $this->hasBegun ? $blank->words : $blank->words + 20;
                $this->hasBegun = true;
                $this->busyUntil =
                    $now +
                    (int) ((60_000 * $words) / $this->behaviour->reads +
                        1_000 *
                            $this->draw->around($this->behaviour->thinks * ($isOwn ? 1 : self::TALKED_ABOUT), 0.5));
                $this->again = $this->busyUntil;

                return;
            }
        }
        $this->again = $now + self::LOOKS_AGAIN;
    }

    private function goOn(Sight $sight, int $now): ?Act
    {
        foreach ($sight->blanks as $blank) {
            if ($blank->slot !== $this->slot) {
                continue;
            }
            if ($blank->isTaken || ('' === $this->text && $blank->isFilled)) {
                break;
            }
            $this->text = self::longer($this->text, $this->typed(), $this->draw);
            $act = new Act(ActKind::Write, $this->text, slot: $this->slot);
            $isDone = mb_strlen($this->text) >= $this->letters;
            $this->busyUntil = $now + self::STRETCH;
            $this->again = $this->busyUntil;
            if ($isDone) {
                $this->slot = null;
            }

            return $act;
        }
        // Somebody else was quicker, or it is gone: something else is next, at once.
        $this->slot = null;

        $this->begin($sight, $now);

        return null;
    }

    /**
     * @return int letters in a stretch
     */
    private function typed(): int
    {
        return max(1, (int) round(($this->behaviour->writes * self::STRETCH) / 1_000));
    }

    private static function longer(string $text, int $letters, Draw $draw): string
    {
        for ($end = mb_strlen($text) + $letters; mb_strlen($text) < $end;) {
            $text .= ('' === $text ? '' : ' ').$draw->oneOf(explode(' ', self::WORDS));
        }

        return $text;
    }
}
