<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;

/**
 * A round's agreed moments as they stand in the database, go over the stream and reach the browser, which works out the
 * phase from them by the server's clock. Milliseconds since 1970.
 */
final readonly class Moments
{
    /**
     * @param int|null $autoSeconds length of a call back that begins by itself at the end; null: it does not
     * @param int|null $pausedAt    since when the clock stands still
     */
    public function __construct(
        public ?int $lookFrom,
        public ?int $outAt,
        public ?int $endsAt,
        public ?int $autoSeconds,
        public ?int $calledAt,
        public ?int $backAt,
        public ?int $pausedAt,
    ) {
    }

    public static function fromState(RoundState $state): self
    {
        return new self(
            $state->lookFrom,
            $state->outAt,
            $state->endsAt,
            $state->autoSeconds,
            $state->calledAt,
            $state->backAt,
            $state->pausedAt,
        );
    }

    /**
     * @param array<array-key, mixed> $json
     */
    public static function read(array $json): self
    {
        $moment = static fn (string $key): ?int => \is_int($json[$key] ?? null) ? $json[$key] : null;

        return new self(
            $moment('lookFrom'),
            $moment('outAt'),
            $moment('endsAt'),
            $moment('autoSeconds'),
            $moment('calledAt'),
            $moment('backAt'),
            $moment('pausedAt'),
        );
    }

    public function state(): RoundState
    {
        return new RoundState(
            $this->lookFrom,
            $this->outAt,
            $this->endsAt,
            $this->autoSeconds,
            $this->calledAt,
            $this->backAt,
            $this->pausedAt,
        );
    }

    public function phase(int $now): Phase
    {
        return $this->state()->phase($now);
    }
}
