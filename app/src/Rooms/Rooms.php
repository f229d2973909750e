<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Body\EditRoom;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Link\LinkLists;
use FreshHuddle\App\Rooms\Member\Guests;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Rooms\Source\SaveRoomSource;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Rooms\Exception\UnusableLink;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\RoomPermissionChanges;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * The rooms of a class: the main session, one for each group of a grouping, and side rooms.
 */
final readonly class Rooms
{
    private const MOST_SIDE_ROOMS = 20;

    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private RoomReader $reader,
        private Tasks $tasks,
        private RoomSources $roomSources,
        private RoundRooms $ofRound,
        private EventDispatcherInterface $events,
        private Guests $guests,
        private RoomStarter $starter,
        private RoomLeaver $leaver,
    ) {
    }

    /**
     * Has every room made that is not there yet. Pressed twice, or by two people at once, each is made once.
     *
     * @throws RoomsRefused while there are no groups
     */
    public function make(Round $round): void
    {
        $floor = $this->ofRound->floor($round);
        if ([] === $floor->groups) {
            throw RoomsRefused::unusable('rooms.no_groups');
        }
        $class = $round->lesson->class;
        $this->ofRound->plan($round);
        foreach ($this->reader->ofRound($round->grouping->id, $class->id, $floor) as $room) {
            if (!$room->state->hasLink()) {
                $this->starter->begin($room->id, $room->source);
            }
        }
        $this->events->dispatch(new RoomsChanged($class->id));
    }

    /**
     * Rooms that are not there yet come from where the class's rooms come from now; those that are there stay where
     * they are, unless their address follows a pattern that is another now. What students may do in rooms counts at
     * once, for all rooms that say nothing else of their own.
     *
     * @throws RoomsRefused if a pattern cannot be used
     */
    public function setSource(SchoolClass $class, SaveRoomSource $request): void
    {
        $was = $this->roomSources->forClass($class);
        [$before, $allowed] = [$was->addressPattern, $was->allowed()];
        $as = $this->roomSources->save($class, $request);
        if (null !== $request->life) {
            $this->store->live($class->id, $as->life);
        }
        foreach ($this->em->getRepository(Room::class)->findBy(['class' => $class]) as $room) {
            if (!$room->state->hasLink() && $room->source !== $as->kind) {
                $this->leaver->retire($room);
                $this->store->moveTo($room->id, $as->kind);
            } elseif (
                $room->source->isFromPattern()
                && $before !== $as->addressPattern
                && null !== $room->link
            ) {
                // Another pattern is another address: what could be guessed before cannot be left as it was.
                $this->store->moveTo($room->id, $room->source);
                $this->starter->begin($room->id, $room->source);
            } elseif (
                $room->state->hasLink()
                && $room->source->answers()
                && !$room
                    ->allowedHere()
                    ->under($as->allowed())
                    ->equals($room->allowedHere()->under($allowed))
            ) {
                $this->tasks->schedule(RoomTaskHandler::CHANGE, $room->id);
            }
        }
        $this->events->dispatch(new RoomsChanged($class->id));
    }

    /**
     * @throws RoomsRefused if the name or the link cannot be used, or somebody is in the room and it was not said to be
     *                      sure
     */
    public function edit(Room $room, EditRoom $request): void
    {
        $isChanged = false;
        $name = trim($request->name ?? $room->name);
        if ('' !== $name && $name !== $room->name) {
            $room->name = $name;
            $this->store->rename($room->id, $name, true);
            $isChanged = true;
        }
        if (null !== $request->allowed) {
            $allowed = new RoomPermissionChanges(
                $request->allowed->mayRecord,
                $request->allowed->mayShareScreen,
                $request->allowed->mayWrite,
            );
            if (!$allowed->equals($room->allowedHere())) {
                $this->store->allow($room->id, $allowed);
                $isChanged = true;
            }
        }
        if ($isChanged && $room->state->hasLink() && $room->source->answers()) {
            $this->tasks->schedule(RoomTaskHandler::CHANGE, $room->id);
        }
        if (null !== $request->link) {
            $this->setLink($room, trim($request->link), $request->sure);
        } elseif (null !== $request->source && $request->source !== $room->source) {
            $this->leaver->moveTo($room, $request->source, $request->sure);
            $this->starter->begin($room->id, $request->source);
        }
        $this->events->dispatch(RoomsChanged::forRoom($room));
    }

    /**
     * @throws RoomsRefused where there are too many
     */
    public function addSideRoom(SchoolClass $class, string $name): void
    {
        if (
            $this->em->getRepository(Room::class)->count(['class' => $class, 'purpose' => RoomPurpose::Side]) >=
            self::MOST_SIDE_ROOMS
        ) {
            throw RoomsRefused::unusable('rooms.too_many_side_rooms', 'name', ['most' => self::MOST_SIDE_ROOMS]);
        }
        $this->store->plan($this->roomSources->forClass($class), RoomPurpose::Side, trim($name));
        foreach (
            $this->em
                ->getRepository(Room::class)
                ->findBy(['class' => $class, 'purpose' => RoomPurpose::Side, 'state' => RoomState::Planned]) as $room
        ) {
            $this->starter->begin($room->id, $room->source);
        }
        $this->events->dispatch(new RoomsChanged($class->id));
    }

    /**
     * @throws RoomsRefused if it is no side room, or somebody is in it and it was not said to be sure
     */
    public function takeAway(Room $room, bool $sure): void
    {
        if (RoomPurpose::Side !== $room->purpose) {
            throw RoomsRefused::unusable('rooms.no_side_room');
        }
        if ([] !== $this->guests->in($room->id)) {
            throw RoomsRefused::unusable('rooms.guests');
        }
        $this->leaver->giveUp($room, $sure);
        $this->store->takeAway($room->id);
        $this->events->dispatch(RoomsChanged::forRoom($room));
    }

    public function retry(Room $room): void
    {
        if (RoomState::Failed === $room->state) {
            $this->store->note($room->id, RoomState::Planned);
            $this->starter->begin($room->id, $room->source);
        }
    }

    /**
     * Rooms that are to come from elsewhere are let go of where they were.
     *
     * @param list<string> $roomIds
     *
     * @throws RoomsRefused if somebody is in one of them
     */
    public function leaveService(SchoolClass $class, array $roomIds): void
    {
        foreach ($this->em->getRepository(Room::class)->findBy(['class' => $class, 'id' => $roomIds]) as $room) {
            if (null !== $room->externalId) {
                $this->leaver->moveTo($room, SourceKind::OwnLinks, false);
            }
        }
    }

    /**
     * @throws RoomsRefused
     */
    private function setLink(Room $room, string $text, bool $sure): void
    {
        try {
            $link = '' === $text ? null : Link::read($text);
        } catch (UnusableLink $e) {
            throw RoomsRefused::because($e->says, 'link');
        }
        $has =
            null === $link
                ? null
                : $this->reader->links($room->class->teacher->id, $room->class->id, $room->grouping?->id)[
                        $link->normal
                    ] ?? null;
        if (null !== $has && $has['room'] !== $room->id) {
            throw RoomsRefused::because(LinkLists::takenBy($has, $room->class->id), 'link');
        }
        if (null !== $has) {
            return;
        }
        $this->leaver->moveTo($room, SourceKind::OwnLinks, $sure);
        try {
            $this->store->link($room, $link);
        } catch (NoLinkYet $e) {
            throw RoomsRefused::because($e->says, 'link');
        }
        $this->starter->begin($room->id, SourceKind::OwnLinks);
    }
}
