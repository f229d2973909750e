<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * The way into rooms of our own. Whoever asks here has been found to belong there; a room that nobody has come to
 * before is made now.
 */
final readonly class RoomAdmission
{
    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private RoomSources $sources,
        private OwnRooms $rooms,
        private MediaAddress $address,
    ) {
    }

    /**
     * @param string $place `main`, or the id of a group or a side room of this class
     *
     * @throws RoomsRefused where there is no such room of our own, or it is closed, or sound does not work just now
     */
    public function pass(SchoolClass $class, string $place, Participant $participant): RoomTicket
    {
        $room = $this->room($class, $place);
        if (RoomState::Closed === $room->state) {
            throw RoomsRefused::outdated('rooms.closed');
        }
        try {
            $name = $room->externalId ?? throw new \LogicException('It has just been given one.');
            $token = $this->admit($name, $participant);
        } catch (MeetingServiceFailed) {
            throw RoomsRefused::outdated('rooms.no_sound');
        }

        return new RoomTicket(
            $place,
            $participant->id,
            $this->address->forParticipant($participant),
            $name,
            $token,
            [],
            $room->allowedHere()->under($this->sources->forClass($class)->allowed())->shareScreen,
        );
    }

    /**
     * @throws MeetingServiceFailed
     */
    private function admit(string $name, Participant $participant): string
    {
        try {
            return $this->rooms->admit($name, $participant);
        } catch (MeetingServiceFailed $e) {
            if (!$e->missing) {
                throw $e;
            }
            $this->rooms->open($name, true);

            return $this->rooms->admit($name, $participant);
        }
    }

    /**
     * @throws RoomsRefused
     */
    private function room(SchoolClass $class, string $place): Room
    {
        $room = $this->find($class, $place);
        if (null === $room) {
            $group = MainSession::PLACE === $place ? null : $this->em->find(WorkGroup::class, $place);
            $as = $this->sources->forClass($class);
            if (MainSession::PLACE !== $place && (null === $group || $group->grouping->class->id !== $class->id)) {
                throw RoomsRefused::missing('rooms.none_there');
            }
            null === $group
                ? $this->store->plan($as, RoomPurpose::Main, '')
                : $this->store->plan($as, RoomPurpose::Group, $group->name, $group->grouping->id, $group->id);
            $room = $this->find($class, $place) ?? throw RoomsRefused::missing('rooms.none_there');
        }
        if (!$room->source->isHere()) {
            throw RoomsRefused::unusable('rooms.elsewhere');
        }
        if (null === $room->externalId) {
            $this->store->madeAs($room->id, $this->rooms->roomId($room->id));
            $this->store->note($room->id, RoomState::Made);
            $this->em->refresh($room);
        }

        return $room;
    }

    private function find(SchoolClass $class, string $place): ?Room
    {
        $rooms = $this->em->getRepository(Room::class);
        if (MainSession::PLACE === $place) {
            return $rooms->findOneBy(['class' => $class, 'purpose' => RoomPurpose::Main]);
        }

        return $rooms->findOneBy(['class' => $class, 'group' => $place])
            ?? $rooms->findOneBy(['class' => $class, 'id' => $place, 'purpose' => RoomPurpose::Side]);
    }
}
