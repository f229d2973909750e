<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Has a room made where it comes from.
 */
final readonly class RoomStarter
{
    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private Tasks $tasks,
        private Membership $membership,
        private Words $words,
    ) {
    }

    /**
     * What needs nobody outside is done here and now; all else by the worker.
     */
    public function begin(string $roomId, SourceKind $source): void
    {
        if ($source->answers()) {
            $this->store->note($roomId, RoomState::Planned);
            $this->tasks->scheduleOnce(RoomTaskHandler::MAKE, $roomId);

            return;
        }
        $room = $this->em->find(Room::class, $roomId);
        if (null === $room) {
            return;
        }
        $this->em->refresh($room);
        try {
            $this->membership->reconcile($room);
        } catch (NoLinkYet $e) {
            $this->store->note(
                $roomId,
                RoomState::Planned,
                null === $room->link && $source->isPasted() ? null : $this->words->say($e->says),
            );
        } catch (NotOnTheFloor) {
            // its table was taken away meanwhile
        }
    }
}
