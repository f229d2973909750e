<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Event\MembersSet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\RoomReader;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Moves those who have been let into a room while groups are out.
 */
final readonly class OnMembersSet
{
    public function __construct(
        private EntityManagerInterface $em,
        private MoveStore $moves,
        private FloorStore $floors,
        private RoomReader $rooms,
        private RoomServices $services,
        private Clock $clock,
    ) {
    }

    /**
     * While groups are out, whoever has been given a seat at a table is taken to its room.
     *
     * @throws MeetingServiceFailed
     */
    #[AsEventListener]
    public function __invoke(MembersSet $event): void
    {
        $now = $this->clock->ms();
        foreach (
            null === $event->groupingId
                ? []
                : $this->em->getRepository(Round::class)->findBy(['grouping' => $event->groupingId]) as $round
        ) {
            $state = $round->state()->state();
            if (!$state->phase($now)->isOut()) {
                continue;
            }
            $moves = $this->moves->forRound($round->id);
            $floor = $this->floors->now($round->grouping->id);
            // Who leaves may still enter for a moment, and is not taken back.
            $present = array_filter(
                $event->students,
                static fn (string $student): bool => $moves->expected(
                    $student,
                    $floor->groupOf($student)?->id,
                    $state,
                    $now,
                )->place === $event->groupId,
            );
            $this->services->move(
                array_fill_keys($present, $event->external),
                array_map(strval(...), array_keys($this->rooms->made($round->lesson->class->id))),
            );
        }
    }
}
