<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Rooms\RoomLife;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * Opens the rooms that live for a round only, and closes them when it is over. By the same links each time.
 */
final readonly class RoomOpener
{
    /** So long everybody has to get out by themselves. Milliseconds. */
    private const TIME_TO_LEAVE = 30_000;

    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private RoomServices $services,
        private Tasks $tasks,
        private Clock $clock,
    ) {
    }

    /**
     * Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function open(string $groupingId): void
    {
        foreach ($this->em->getRepository(Room::class)->findBy(['grouping' => $groupingId]) as $room) {
            $this->em->refresh($room);
            $this->tasks->cancel($room->id, RoomTaskHandler::CLOSE);
            if (RoomState::Closed === $room->state && null !== $room->externalId) {
                $this->services->serviceFor($room->externalId)->open($room->externalId, true);
                $this->store->note($room->id, RoomState::Made);
            }
        }
    }

    /**
     * The work of closing waits for the worker.
     */
    public function closeLater(string $groupingId): void
    {
        foreach (
            $this->em->getRepository(Room::class)->findBy(
                ['grouping' => $groupingId, 'life' => RoomLife::Round],
            ) as $room
        ) {
            if ($room->state->hasLink() && RoomState::Closed !== $room->state && null !== $room->externalId) {
                $this->tasks->schedule(RoomTaskHandler::CLOSE, $room->id, $this->clock->ms() + self::TIME_TO_LEAVE);
            }
        }
    }

    /**
     * Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function close(Room $room): void
    {
        if (null !== $room->externalId) {
            $this->services->serviceFor($room->externalId)->open($room->externalId, false);
            $this->store->note($room->id, RoomState::Closed);
        }
    }
}
