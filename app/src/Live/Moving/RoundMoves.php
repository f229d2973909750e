<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Which room of the meeting service each student of a round belongs in.
 */
final readonly class RoundMoves
{
    public function __construct(private FloorStore $floors, private MoveStore $moves, private Clock $clock)
    {
    }

    /**
     * @param array<string, string> $rooms the service's room => its place
     *
     * @return array<string, string> student's id => the service's room
     */
    public function groupRooms(Round $round, array $rooms): array
    {
        $external = array_flip($rooms);
        $moves = [];
        $asides = $this->moves->forRound($round->id);
        foreach ($this->floors->now($round->grouping->id)->groups as $group) {
            foreach ($group->students as $student) {
                $place =
                    $asides->expected($student, $group->id, $round->state()->state(), $this->clock->ms())->place ??
                    '';
                if (isset($external[$place])) {
                    $moves[$student] = $external[$place];
                }
            }
        }

        return $moves;
    }

    /**
     * @param array<string, string> $rooms the service's room => its place
     *
     * @return array<string, string> student's id => the service's room
     */
    public function mainSession(Round $round, array $rooms): array
    {
        $main = array_flip($rooms)[MainSession::PLACE] ?? null;

        return null === $main
            ? []
            : array_fill_keys(
                [
                    ...$this->floors->now($round->grouping->id)->seated(),
                    ...array_map(strval(...), array_keys($this->moves->forRound($round->id)->students)),
                ],
                $main,
            );
    }

    /**
     * @return list<string> ids of the round's side rooms
     */
    public function sideRooms(Round $round): array
    {
        return $this->moves->sideRooms($round->id);
    }
}
