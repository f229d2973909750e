<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * A round as its events have made it. Phases follow from agreed moments and a clock, so that every machine, and a
 * student's page with no network, comes to the same answer at the same moment.
 */
final readonly class RoundState
{
    /**
     * @param int|null $outAt       when groups are to be at work; before it students look at who is with whom
     * @param int|null $endsAt      the agreed end of the work
     * @param int|null $autoSeconds length of the call back that begins by itself at the end; null: it waits for the
     *                              teacher
     * @param int|null $calledAt    when a call back was begun by hand
     * @param int|null $backAt      when the call back begun by hand runs out
     * @param int|null $pausedAt    since when the clock stands still; nothing happens by itself meanwhile
     *
     * All moments are milliseconds since 1970
     */
    public function __construct(
        public ?int $lookFrom = null,
        public ?int $outAt = null,
        public ?int $endsAt = null,
        public ?int $autoSeconds = null,
        public ?int $calledAt = null,
        public ?int $backAt = null,
        public ?int $pausedAt = null,
    ) {
    }

    public static function planned(): self
    {
        return new self();
    }

    /**
     * @param iterable<Event> $events in sequence. Complexity: O(events)
     */
    public static function after(iterable $events): self
    {
        $state = self::planned();
        foreach ($events as $event) {
            $state = $state->with($event);
        }

        return $state;
    }

    public function with(Event $event): self
    {
        return match ($event->kind) {
            EventKind::SentOut => new self(
                lookFrom: $event->at,
                outAt: $event->moment('outAt'),
                endsAt: $event->moment('endsAt'),
                autoSeconds: $event->moment('autoSeconds'),
            ),
            EventKind::TakenBack => self::planned(),
            EventKind::EndChanged => new self(
                $this->lookFrom,
                $this->outAt,
                $event->moment('endsAt'),
                $this->autoSeconds,
                pausedAt: $this->pausedAt,
            ),
            EventKind::Paused => new self(
                $this->lookFrom,
                $this->outAt,
                $this->endsAt,
                $this->autoSeconds,
                pausedAt: $event->at,
            ),
            EventKind::WentOn => new self(
                $this->lookFrom,
                $this->outAt,
                $event->moment('endsAt'),
                $this->autoSeconds,
            ),
            EventKind::CalledBack => new self(
                $this->lookFrom,
                $this->outAt,
                $this->endsAt,
                $this->autoSeconds,
                $event->at,
                $event->moment('backAt'),
            ),
            // Whoever says “keep working” past the end no longer wants the end to call by itself; a call that was taken
            // back leaves it.
            EventKind::KeptWorking => new self(
                $this->lookFrom,
                $this->outAt,
                $event->moment('endsAt'),
                $event->moment('autoSeconds'),
            ),
            default => $this,
        };
    }

    public function phase(int $now): Phase
    {
        if (null === $this->outAt) {
            return Phase::Planned;
        }
        $from = $this->comingBackFrom();
        if (null !== $from && $now >= $from) {
            return $now < $this->comingBackUntil() ? Phase::ComingBack : Phase::Back;
        }

        return $now < $this->outAt ? Phase::Looking : Phase::Out;
    }

    /**
     * When everybody starts to come back, by hand or by the agreed end; null while nobody has said.
     */
    public function comingBackFrom(): ?int
    {
        return $this->calledAt ?? ($this->endsByItself() ? $this->endsAt : null);
    }

    /**
     * When everybody is to be back; null while nobody has said.
     */
    public function comingBackUntil(): ?int
    {
        return $this->backAt ??
            ($this->endsByItself() && null !== $this->endsAt ? $this->endsAt + 1_000 * $this->autoSeconds : null);
    }

    /**
     * Whether the agreed end calls back by itself, as things stand.
     *
     * @phpstan-assert-if-true !null $this->autoSeconds
     */
    public function endsByItself(): bool
    {
        return null !== $this->autoSeconds && null === $this->pausedAt;
    }

    /**
     * When the present phase began: the moment from which students are on the way.
     */
    public function phaseSince(int $now): ?int
    {
        return match ($this->phase($now)) {
            Phase::Planned => null,
            Phase::Looking => $this->lookFrom,
            Phase::Out => $this->outAt,
            Phase::ComingBack => $this->comingBackFrom(),
            Phase::Back => $this->comingBackUntil(),
        };
    }
}
