<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Rooms\Event\RoomOpened;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomFinder;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * The way into rooms of our own. Whoever asks here has been found to belong there; a room that nobody has come to
 * before is made now.
 */
final readonly class RoomAdmission
{
    /** Among places: where the teacher speaks to all rooms, and all of them listen. */
    public const VOICE = 'voice';

    public function __construct(
        private EntityManagerInterface $em,
        private RoomFinder $finder,
        private RoomStore $store,
        private RoomSources $sources,
        private OwnRooms $rooms,
        private MediaAddress $address,
        private Relay $relay,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * @param string $place `main`, `voice`, or the id of a group or a side room of this class
     *
     * @throws RoomsRefused where there is no such room of our own, or it is closed, or sound does not work just now
     */
    public function admitTo(SchoolClass $class, string $place, Participant $participant): RoomTicket
    {
        $isVoice = self::VOICE === $place;
        $room = $isVoice ? null : $this->room($class, $place);
        if (RoomState::Closed === $room?->state) {
            throw RoomsRefused::outdated('rooms.closed');
        }
        $mayShare =
            $participant->isStaff()
            || ($room?->allowedHere()->under($this->sources->forClass($class)->allowed())->shareScreen ?? false);
        $right = $mayShare ? RoomRight::Share : RoomRight::Speak;
        try {
            $voice = $this->admit(
                $this->voice($class->id),
                $participant,
                $isVoice ? RoomRight::Speak : RoomRight::Listen,
            );
            $key = null === $room ? $voice : $this->admit($room->externalId ?? '', $participant, $right);
        } catch (MeetingServiceFailed) {
            throw RoomsRefused::outdated('rooms.no_sound');
        }

        return new RoomTicket(
            $place,
            $participant->id,
            $this->address->forParticipant($participant),
            $key->room,
            $key->token,
            $mayShare,
            $isVoice ? null : $voice,
            $this->relay->forParticipant($participant),
        );
    }

    /**
     * @return string what the media server calls the room in which the teacher speaks to all rooms of a class
     */
    public function voice(string $classId): string
    {
        return $this->rooms->roomId(self::VOICE.'|'.$classId);
    }

    /**
     * @throws MeetingServiceFailed
     */
    private function admit(string $name, Participant $participant, RoomRight $right): RoomKey
    {
        try {
            return new RoomKey($name, $this->rooms->admit($name, $participant, $right));
        } catch (MeetingServiceFailed $e) {
            if (!$e->missing) {
                throw $e;
            }
            $this->rooms->open($name, true);
            $this->events->dispatch(new RoomOpened($name));

            return new RoomKey($name, $this->rooms->admit($name, $participant, $right));
        }
    }

    /**
     * @throws RoomsRefused
     */
    private function room(SchoolClass $class, string $place): Room
    {
        $room = $this->finder->atPlace($class, $place);
        if (null === $room) {
            $group = MainSession::PLACE === $place ? null : $this->em->find(WorkGroup::class, $place);
            $as = $this->sources->forClass($class);
            if (MainSession::PLACE !== $place && (null === $group || $group->grouping->class->id !== $class->id)) {
                throw RoomsRefused::missing('rooms.none_there');
            }
            null === $group
                ? $this->store->plan($as, RoomPurpose::Main, '')
                : $this->store->plan($as, RoomPurpose::Group, $group->name, $group->grouping->id, $group->id);
            $room = $this->finder->atPlace($class, $place) ?? throw RoomsRefused::missing('rooms.none_there');
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
}
