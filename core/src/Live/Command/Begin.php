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
 * On to a segment that is not done in groups. The state is that of the round the lesson is in, or was in last.
 */
final readonly class Begin implements Command
{
    /**
     * @param string      $segment where to
     * @param string|null $now     where the lesson is; null before it has begun
     */
    public function __construct(public string $segment, public ?string $now)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        if ($this->segment === $this->now) {
            return [];
        }

        return match ($state->phase($now)) {
            Phase::Planned, Phase::Back => [new Event(EventKind::SegmentBegun, $now, ['segment' => $this->segment])],
            Phase::Looking, Phase::Out, Phase::ComingBack => throw CommandRefused::groupsAreOut(),
        };
    }
}
