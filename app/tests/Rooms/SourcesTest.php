<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms;

use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\App\Rooms\Source\Source;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\SourceKind;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * What every source of rooms has to do. Another one is a case of SourceKind and a file in Rooms\Source.
 */
final class SourcesTest extends AppTestCase
{
    private const PEOPLE = [
        '01a00000-0000-7000-8000-000000000001' => 'Ada',
        '01a00000-0000-7000-8000-000000000002' => 'Ben',
    ];
    private const CHI = ['01a00000-0000-7000-8000-000000000003' => 'Chi'];

    #[DataProvider('kinds')]
    public function test_brought_twice_it_is_the_same_and_who_stays_keeps_their_way(SourceKind $kind): void
    {
        [$room] = $this->rooms($kind);
        $before = $this->bring($room, self::PEOPLE);
        self::assertSame(array_keys(self::PEOPLE), array_keys($before));
        self::assertSame($before, $this->bring($room, self::PEOPLE));
        $after = $this->bring($room, [array_key_first(self::PEOPLE) => 'Ada'] + self::CHI);
        self::assertSame(
            $before[array_key_first(self::PEOPLE)],
            $after[array_key_first(self::PEOPLE)],
            'a new member is no new link for those who stay',
        );
        self::assertSame(
            [array_key_first(self::PEOPLE), array_key_first(self::CHI)],
            array_keys($after),
            'and nobody else',
        );
        $this->source($kind)->change($room);
        self::assertSame($after, $this->bring($room, [array_key_first(self::PEOPLE) => 'Ada'] + self::CHI));
    }

    #[DataProvider('kinds')]
    public function test_two_rooms_are_never_in_one_place(SourceKind $kind): void
    {
        [$one, $other] = $this->rooms($kind);
        $ways = [...array_values($this->bring($one, self::PEOPLE)), ...array_values($this->bring($other, self::CHI))];
        self::assertCount(3, $ways);
        if ($kind->hasLink()) {
            self::assertNotSame($ways[0], $ways[2]);
            self::assertNotSame($ways[1], $ways[2]);
            foreach ($ways as $way) {
                self::assertSame($way, Link::read($way)->address, 'an address that a link may have');
                self::assertNotSame('', $this->source($kind)->entryUrl($way));
            }
        } else {
            self::assertSame(['', '', ''], $ways);
        }
    }

    #[DataProvider('kinds')]
    public function test_letting_go_of_a_room_that_is_not_there_is_no_mistake(SourceKind $kind): void
    {
        [$room] = $this->rooms($kind);
        $this->bring($room, self::PEOPLE);
        foreach ([$room->externalId ?? 'mffffffffffffffff', 'mffffffffffffffff'] as $id) {
            $this->source($kind)->retire($id);
            $this->source($kind)->retire($id);
        }
        self::assertTrue($this->source($kind)::kind() === $kind);
    }

    public function test_own_links_and_patterns_wait_until_somebody_says_where(): void
    {
        foreach ([SourceKind::OwnLinks, SourceKind::NamePattern] as $kind) {
            [$room] = $this->rooms($kind, false);
            try {
                $this->bring($room, self::PEOPLE);
                self::fail("{$kind->value} made a room of nothing");
            } catch (NoLinkYet $e) {
                self::assertSame('rooms.no_link', $e->says->code);
            }
        }
    }

    /**
     * @return iterable<string, array{SourceKind}>
     */
    public static function kinds(): iterable
    {
        foreach (SourceKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /**
     * @return list<Room> two rooms of groups
     */
    private function rooms(SourceKind $kind, bool $known = true): array
    {
        $lesson = $this->readyLesson(4, 2);
        $class = $lesson->text('classId');
        $this->ask('PUT', "/api/staff/classes/{$class}/room-source", [
            'kind' => $kind->value,
            'addressPattern' => $known ? 'https://rooms.example/{class}-{n}-{tail}' : '',
        ])->is(200);
        $this->db()->executeStatement(
            "INSERT INTO room (id, class_id, purpose, grouping_id, group_id, name, state, source, life)
             SELECT gen_random_uuid(), ?, 'group', grouping_id, id, name, 'planned', ?, 'grouping' FROM work_group
               WHERE grouping_id = ?",
            [$class, $kind->value, $lesson->text('floor.id')],
        );
        $rooms = $this->em()
            ->getRepository(Room::class)
            ->findBy(['class' => $class]);
        foreach (SourceKind::OwnLinks === $kind && $known ? $rooms : [] as $i => $room) {
            $this->store()->link($room, Link::read("https://own.example/{$i}"));
        }

        return $rooms;
    }

    /**
     * @param array<string, string> $people
     *
     * @return array<string, string>
     */
    private function bring(Room $room, array $people): array
    {
        $named = [
            'class' => '9G',
            'teacher' => 'T',
            'lesson' => '',
            'group' => $room->name,
            'n' => $room->group->position ?? 0,
        ];

        return $this->source($room->source)->provision($room, $people, $named, $this->store());
    }

    private function source(SourceKind $kind): Source
    {
        return $this->service(Sources::class)->get($kind);
    }

    private function store(): RoomStore
    {
        return $this->service(RoomStore::class);
    }
}
