<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Link;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\Rooms;
use FreshHuddle\App\Rooms\RoomStarter;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\App\Rooms\RoundRooms;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Rooms\Source\SaveRoomSource;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\PastedLink;
use FreshHuddle\Core\Rooms\PastedLinks;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\SourceKind;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * Links pasted for the rooms of a round: first what each line would do, then just that.
 *
 * @phpstan-type Has array{room: string, class: string, className: string, purpose: RoomPurpose, group: string|null,
 *   name: string, grouping: string|null}
 */
final readonly class LinkLists
{
    public function __construct(
        private Rooms $rooms,
        private RoomStarter $starter,
        private RoundRooms $ofRound,
        private RoomSources $sources,
        private RoomReader $reader,
        private RoomStore $store,
        private FloorStore $floors,
        private Words $words,
        private EventDispatcherInterface $events,
        private StandingLinks $standing,
    ) {
    }

    /**
     * @return list<PastedLinkView>
     */
    public function read(Round $round, string $text): array
    {
        [$lines, $moved] = $this->lines($round, $text);

        return array_map(function (PastedLink $line) use ($moved): PastedLinkView {
            $note = $line->fault ?? (null === $line->link ? null : $moved[$line->link->normal]['says'] ?? null);

            return new PastedLinkView(
                $line->line,
                $line->shown,
                $line->place,
                $line->link?->host,
                null === $note ? null : $this->words->say($note),
            );
        }, $lines);
    }

    /**
     * Does what the lines say, all at once; lines that cannot be taken are passed over.
     *
     * @throws RoomsRefused if there is no line that can be taken, or a link is taken meanwhile
     */
    public function use(Round $round, string $text): void
    {
        [$lines, $moved] = $this->lines($round, $text);
        $this->ofRound->plan($round);
        $class = $round->lesson->class;
        $rooms = [];
        foreach (
            $this->reader->ofRound($round->grouping->id, $class->id, $this->floors->now($round->grouping->id)) as $room
        ) {
            if (RoomPurpose::Side !== $room->purpose) {
                $rooms[$room->groupId ?? MainSession::PLACE] = $room;
            }
        }
        $links = $from = [];
        foreach ($lines as $line) {
            $room = $rooms[$line->place ?? ''] ?? null;
            if (null === $line->link || null === $room) {
                continue;
            }
            if ($room->source->isPasted() && $line->link->address === $room->link) {
                continue; // it is there already, and whoever tried it need not do so again
            }
            $links[$room->id] = $line->link;
            if (isset($moved[$line->link->normal])) {
                $from[] = $moved[$line->link->normal]['room'];
            }
        }
        if ([] === $lines || [] === array_filter($lines, static fn (PastedLink $line): bool => null !== $line->link)) {
            throw RoomsRefused::unusable('rooms.pasted.nothing', 'text');
        }
        $this->rooms->leaveService($class, array_keys($links));
        try {
            $this->store->links($class->teacher->id, $links, $from);
        } catch (NoLinkYet $e) {
            throw RoomsRefused::because($e->says, 'text');
        }
        $isAll =
            [] ===
            array_filter(
                $rooms,
                static fn (RoomView $room): bool => !isset($links[$room->id])
                    && !$room->source->isPasted(),
            );
        if ($isAll) {
            // Who has said where everybody meets will say it for the next groups too.
            $this->sources->save($class, new SaveRoomSource(SourceKind::OwnLinks));
        }
        foreach (array_keys($links) as $roomId) {
            $this->starter->begin($roomId, SourceKind::OwnLinks);
        }
        $this->keepStanding($round, $rooms, $links);
        $this->events->dispatch(new RoomsChanged($class->id));
    }

    /**
     * What groups meet by now they meet by in other lessons, too.
     *
     * @param array<string, RoomView> $rooms by place
     * @param array<string, Link>     $links that have just been given, by room
     */
    private function keepStanding(Round $round, array $rooms, array $links): void
    {
        $standing = [];
        foreach ($this->floors->now($round->grouping->id)->groups as $group) {
            $room = $rooms[$group->id] ?? null;
            $link =
                null === $room
                    ? null
                    : $links[$room->id] ??
                        ($room->source->isPasted() && null !== $room->link
                            ? Link::read($room->link)
                            : null);
            if (null === $link) {
                break; // the links of those after it would go to other groups the next time
            }
            $standing[] = $link;
        }
        if ([] !== $standing) {
            $this->standing->keep($round->lesson->class, $standing);
        }
    }

    /**
     * @param Has $has
     */
    public static function takenBy(array $has, string $classId): Message
    {
        return match (true) {
            $has['class'] !== $classId => new Message('rooms.link.of_class', ['class' => $has['className']]),
            RoomPurpose::Main === $has['purpose'] => new Message('rooms.link.of_main'),
            null !== $has['grouping'] => new Message('rooms.link.of_group', [
                'group' => $has['name'],
                'grouping' => $has['grouping'],
            ]),
            default => new Message('rooms.link.of_side_room', ['name' => $has['name']]),
        };
    }

    /**
     * What the lines come to; and which links groups of this round have, or of another grouping of the class, from
     * which they move over.
     *
     * @return array{list<PastedLink>, array<string, array{room: string, says: Message|null}>}
     */
    private function lines(Round $round, string $text): array
    {
        $class = $round->lesson->class;
        $groups = [];
        foreach ($this->floors->now($round->grouping->id)->groups as $group) {
            $groups[$group->id] = $group->name;
        }
        $taken = $moved = [];
        foreach ($this->reader->links($class->teacher->id, $class->id, $round->grouping->id) as $normal => $has) {
            if ($has['class'] === $class->id && null !== $has['group']) {
                $moved[$normal] = [
                    'room' => $has['room'],
                    'says' => isset($groups[$has['group']])
                        ? null
                        : new Message('rooms.pasted.moves', [
                            'group' => $has['name'],
                            'grouping' => $has['grouping'] ?? '',
                        ]),
                ];
            } else {
                $taken[$normal] =
                    RoomPurpose::Main === $has['purpose'] && $has['class'] === $class->id
                        ? MainSession::PLACE
                        : self::takenBy($has, $class->id);
            }
        }

        return [PastedLinks::read($text, $groups, $taken), $moved];
    }
}
