<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;

/**
 * A round's agreed moments as they stand in the database, go over the stream and reach the browser, which works out the
 * phase from them by the server's clock. Milliseconds since 1970.
 */
final readonly class Moments
{
    /** Those of a round `r`, beside other things of it. */
    public const COLUMNS = 'r.look_from, r.out_at, r.ends_at, r.auto_seconds, r.called_at, r.back_at, r.paused_at';

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
     * @param Row $row with COLUMNS
     */
    public static function fromRow(Row $row): self
    {
        return new self(
            $row->intOrNull('look_from'),
            $row->intOrNull('out_at'),
            $row->intOrNull('ends_at'),
            $row->intOrNull('auto_seconds'),
            $row->intOrNull('called_at'),
            $row->intOrNull('back_at'),
            $row->intOrNull('paused_at'),
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
