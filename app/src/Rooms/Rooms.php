<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Link\LinkLists;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Member\Guests;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Rooms\Member\Occupants;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Rooms\Source\SaveRoomSource;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
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
        private FloorStore $floors,
        private Tasks $tasks,
        private Membership $membership,
        private RoomSources $roomSources,
        private RoundRooms $ofRound,
        private RoomService $service,
        private Sources $sources,
        private Occupants $occupants,
        private EventDispatcherInterface $events,
        private Words $words,
        private Clock $clock,
        private Guests $guests,
    ) {
    }

    /**
     * Has every room made that is not there yet. Pressed twice, or by two people at once, each is made once.
     *
     * @throws RoomsRefused while there are no groups
     */
    public function make(Round $round): void
    {
        $floor = $this->floors->now($round->grouping->id);
        if ([] === $floor->groups) {
            throw RoomsRefused::unusable('rooms.no_groups');
        }
        $class = $round->lesson->class;
        $this->ofRound->plan($round);
        foreach ($this->reader->ofRound($round->grouping->id, $class->id, $floor) as $room) {
            if (!$room->state->hasLink()) {
                $this->begin($room->id, $room->source);
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
                $this->retire($room);
                $this->store->moveTo($room->id, $as->kind);
            } elseif (
                SourceKind::NamePattern === $room->source
                && $before !== $as->addressPattern
                && null !== $room->link
            ) {
                // Another pattern is another address: what could be guessed before cannot be left as it was.
                $this->store->moveTo($room->id, SourceKind::NamePattern);
                $this->begin($room->id, SourceKind::NamePattern);
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
            $this->moveTo($room, $request->source, $request->sure);
            $this->begin($room->id, $request->source);
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
            $this->begin($room->id, $room->source);
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
        $this->giveUp($room, $sure);
        $this->store->takeAway($room->id);
        $this->events->dispatch(RoomsChanged::forRoom($room));
    }

    /**
     * @return string the address that lets this teacher in
     *
     * @throws RoomsRefused where there is none yet, or the meeting service does not do it
     */
    public function way(Room $room, Teacher $teacher): string
    {
        if (!$room->state->hasLink() || !$room->source->hasLink()) {
            throw RoomsRefused::unusable('rooms.not_made');
        }
        try {
            if (null === $this->reader->linkOf($room->id, $teacher->id)) {
                $this->membership->reconcile($room); // they joined the class after the room was made
            }
        } catch (MeetingServiceFailed|NoLinkYet $e) {
            throw RoomsRefused::because($e->says);
        } catch (NotOnTheFloor) {
            throw RoomsRefused::unusable('rooms.not_made');
        }

        return $this->sources
            ->get($room->source)
            ->entryUrl($this->reader->linkOf($room->id, $teacher->id) ?? throw RoomsRefused::unusable('rooms.not_made'));
    }

    /**
     * @return string what is to be heard in it, as the bytes of a WAVE file
     *
     * @throws RoomsRefused where nothing can be heard
     */
    public function sound(Room $room): string
    {
        try {
            return $this->service->listen($room->externalId ?? throw RoomsRefused::unusable('rooms.nothing_to_hear'));
        } catch (MeetingServiceFailed $e) {
            throw RoomsRefused::because($e->says);
        }
    }

    public function retry(Room $room): void
    {
        if (RoomState::Failed === $room->state) {
            $this->store->note($room->id, RoomState::Planned);
            $this->begin($room->id, $room->source);
        }
    }

    /**
     * @param bool $was whoever went in says that this was it
     */
    public function tried(Room $room, bool $was): void
    {
        $this->store->tried($room->id, $was ? $this->clock->ms() : null);
        $this->events->dispatch(RoomsChanged::forRoom($room));
    }

    /**
     * Somebody who was sent there says that it is open.
     */
    public function opened(string $roomId, string $classId): void
    {
        $this->store->opened($roomId, $this->clock->ms());
        $this->events->dispatch(new RoomsChanged($classId));
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
                $this->moveTo($room, SourceKind::OwnLinks, false);
            }
        }
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
                null === $room->link && SourceKind::OwnLinks === $source ? null : $this->words->say($e->says),
            );
        } catch (NotOnTheFloor) {
            // its table was taken away meanwhile
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
        $this->moveTo($room, SourceKind::OwnLinks, $sure);
        try {
            $this->store->link($room, $link);
        } catch (NoLinkYet $e) {
            throw RoomsRefused::because($e->says, 'link');
        }
        $this->begin($room->id, SourceKind::OwnLinks);
    }

    private function moveTo(Room $room, SourceKind $source, bool $sure): void
    {
        $this->giveUp($room, $sure);
        $this->store->moveTo($room->id, $source);
    }

    /**
     * @throws RoomsRefused if somebody is in the room and it was not said to be sure
     */
    private function giveUp(Room $room, bool $sure): void
    {
        $there = $sure ? [] : $this->occupants->inRoom($room);
        if ([] !== $there) {
            throw RoomsRefused::unusable('rooms.somebody_there', 'sure', ['names' => $there]);
        }
        $this->retire($room);
    }

    private function retire(Room $room): void
    {
        if (null !== $room->externalId) {
            $this->tasks->schedule(RoomTaskHandler::RETIRE, $room->externalId, null, ['class' => $room->class->id]);
        }
    }
}
