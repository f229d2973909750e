<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Link\StandingLinks;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Rooms\Source\RoomSource;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\NamePattern;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * The rooms of a round, the main session among them, one at a time: brought about, named, let go of. Whoever does many
 * of them says afterwards that rooms have changed.
 */
final readonly class RoundRooms
{
    private const MAIN_PATTERN = '{class} · Main session';

    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private FloorStore $floors,
        private Membership $membership,
        private RoomSources $roomSources,
        private Sources $sources,
        private Words $words,
        private StandingLinks $standing,
        private RoomFinder $finder,
    ) {
    }

    public function floor(Round $round): Floor
    {
        return $this->floors->now($round->grouping->id);
    }

    /**
     * Every room there should be stands in the list, made or not.
     */
    public function plan(Round $round): void
    {
        $as = $this->roomSources->forClass($round->lesson->class);
        foreach ($this->names($round, $this->floors->now($round->grouping->id)) as $place => $name) {
            $this->planOne($as, $round, $place, $name);
        }
    }

    /**
     * A room of a round where it comes from, with those in it who are to be in it now. Safe to do twice.
     *
     * @param string $place `main`, or the id of a group
     *
     * @throws MeetingServiceFailed
     * @throws NoLinkYet
     * @throws NotOnTheFloor
     */
    public function provision(Round $round, string $place): void
    {
        $class = $round->lesson->class;
        $name =
            $this->names($round, $this->floors->now($round->grouping->id))[$place] ??
            throw NotOnTheFloor::group($place);
        $this->planOne($this->roomSources->forClass($class), $round, $place, $name);
        $room = $this->finder->atPlace($class, $place) ?? throw NotOnTheFloor::group($place);
        if (null !== $room->missedAt) {
            $this->lose($room);
        }
        if ($room->source->isPasted() && null === $room->link) {
            $this->giveStandingLink($round, $room);
        }
        try {
            $this->membership->reconcile($room);
        } catch (MeetingServiceFailed $e) {
            if ($e->missing) {
                $this->lose($room);
                $e = MeetingServiceFailed::untrue();
            }
            if (!$room->state->hasLink()) {
                $this->store->note($room->id, RoomState::Failed, $this->words->say($e->says));
            }
            throw $e;
        }
    }

    /**
     * The link that the class's groups in this place meet by, if there is one.
     *
     * @throws NoLinkYet if it serves somebody else by now
     */
    private function giveStandingLink(Round $round, Room $room): void
    {
        $links = $this->standing->forClass($round->lesson->class);
        foreach ($this->floors->now($round->grouping->id)->groups as $i => $group) {
            if ($group->id === $room->group?->id && isset($links[$i])) {
                $this->store->link($room, $links[$i]);
            }
        }
    }

    /**
     * A room is called as the pattern says now. Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function callByPattern(Round $round, string $roomId): void
    {
        $room = $this->em->find(Room::class, $roomId);
        $name =
            null === $room
                ? null
                : $this->names($round, $this->floors->now($round->grouping->id))[$room->place()] ?? null;
        if (null !== $room && null !== $name && !$room->namedByHand) {
            $room->name = $name;
            $this->sources->get($room->source)->change($room);
            $this->store->rename($room->id, $name, false);
        }
    }

    /**
     * A room that nobody wants any more is let go of, where it came from and here. Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function letGo(string $roomId): void
    {
        $room = $this->em->find(Room::class, $roomId);
        if (null === $room) {
            return;
        }
        if (null !== $room->externalId) {
            $this->sources->get($room->source)->retire($room->externalId);
        }
        $this->store->takeAway($roomId);
    }

    /**
     * @return array<array-key, string> what each room of a round is called, by place: the main session first
     */
    public function names(Round $round, Floor $floor): array
    {
        $class = $round->lesson->class;
        $values = ['class' => $class->name, 'lesson' => $round->lesson->title, 'teacher' => $class->teacher->name];
        $pattern = new NamePattern($this->roomSources->forClass($class)->namePattern);
        $names = [MainSession::PLACE => (new NamePattern(self::MAIN_PATTERN))->name($values)];
        foreach ($floor->groups as $i => $group) {
            $name = $pattern->name($values + ['group' => $group->name, 'n' => $i + 1]);
            $names[$group->id] = '' === $name ? $group->name : $name;
        }

        return $names;
    }

    private function planOne(RoomSource $as, Round $round, int|string $place, string $name): void
    {
        MainSession::PLACE === $place
            ? $this->store->plan($as, RoomPurpose::Main, $name)
            : $this->store->plan($as, RoomPurpose::Group, $name, $round->grouping->id, (string) $place);
    }

    private function lose(Room $room): void
    {
        $this->store->lost($room->id);
        $this->em->refresh($room);
    }
}
