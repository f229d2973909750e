<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Everybody to their groups, after a look at who is with whom.
 */
final readonly class SendOut implements Command
{
    /**
     * @param int      $lookSeconds 0 to 120
     * @param int      $minutes     1 to 600, counted from when the look is over
     * @param int|null $autoSeconds 0 to 120: the call back at the end, by itself; null: the teacher calls
     *
     * @throws CommandRefused
     */
    public function __construct(public int $lookSeconds, public int $minutes, public ?int $autoSeconds = null)
    {
        if ($lookSeconds < 0 || $lookSeconds > 120) {
            throw CommandRefused::secondsToLook(120);
        }
        if ($minutes < 1 || $minutes > 600) {
            throw CommandRefused::minutes(600);
        }
        if (null !== $autoSeconds && ($autoSeconds < 0 || $autoSeconds > 120)) {
            throw CommandRefused::secondsToComeBack(120);
        }
    }

    public function decide(RoundState $state, int $now): array
    {
        $phase = $state->phase($now);
        if (Phase::Planned !== $phase && Phase::Back !== $phase) {
            return [];
        }
        $outAt = $now + 1_000 * $this->lookSeconds;

        return [
            new Event(EventKind::SentOut, $now, [
                'outAt' => $outAt,
                'endsAt' => $outAt + 60_000 * $this->minutes,
                'autoSeconds' => $this->autoSeconds,
            ]),
        ];
    }
}
