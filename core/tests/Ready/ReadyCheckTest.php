<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Ready;

use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check\RoomUntried;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedCopy;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\PlannedMaterial;
use FreshHuddle\Core\Ready\PlannedPost;
use FreshHuddle\Core\Ready\PlannedRoom;
use FreshHuddle\Core\Ready\PlannedSound;
use FreshHuddle\Core\Ready\ReadyCheck;
use FreshHuddle\Core\Ready\Weight;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Each fault is put into a lesson in which all is well: just it is found, and nothing once it is mended.
 */
final class ReadyCheckTest extends TestCase
{
    private const STUDENTS = ['ada' => 'Ada', 'ben' => 'Ben', 'chi' => 'Chi', 'dov' => 'Dov'];

    public function test_where_all_is_well_nothing_is_found(): void
    {
        self::assertSame([], self::found(self::well()));
        self::assertSame(
            [],
            self::found(self::well(rooms: [], source: SourceKind::Classroom)),
            'in the classroom a table is a room',
        );
        self::assertSame([], self::found(self::well(rooms: self::own(), source: SourceKind::OwnLinks)));
    }

    public function test_a_room_with_people_in_it_is_in_use_and_not_untried(): void
    {
        $rooms = [
            self::linked('main', 'rooms.example/main'),
            self::linked('g', 'rooms.example/g'),
            new PlannedRoom(
                'h',
                'H',
                RoomState::Made,
                SourceKind::OwnLinks,
                link: Link::read('rooms.example/h'),
                inUse: true,
            ),
        ];
        self::assertSame([], (new RoomUntried())->find(self::well(rooms: $rooms, source: SourceKind::OwnLinks)));
    }

    #[DataProvider('faults')]
    public function test_what_is_wrong_is_found_and_nothing_else(
        Plan $plan,
        string $check,
        Weight $weight,
        Mend $mend,
    ): void {
        $found = ReadyCheck::standard()->run($plan);
        self::assertSame([$check], array_map(static fn (Finding $finding): string => $finding->check, $found));
        self::assertSame([$weight, $mend], [$found[0]->weight, $found[0]->mend]);
        self::assertStringStartsWith('ready.', $found[0]->says->code);
    }

    /**
     * @return iterable<string, array{Plan, string, Weight, Mend}>
     */
    public static function faults(): iterable
    {
        $stop = Weight::Stop;
        $look = Weight::Look;
        $group = static fn (string $id, string ...$students): PlannedGroup => new PlannedGroup(
            $id,
            strtoupper($id),
            array_values($students),
            ['ada' => 'lead', 'chi' => 'Lead'],
        );
        $material = static fn (mixed ...$with): PlannedMaterial => new PlannedMaterial(
            // @phpstan-ignore argument.type (each is what a material takes under that name; a wrong one fails at once)
            ...$with + ['id' => 'o', 'title' => 'Sheet', 'gets' => ['g' => '', 'h' => '']],
        );
        $own = self::own();

        yield 'an empty class list' => [
            self::well(students: [], groups: [], rooms: [], copies: [], materials: []),
            'nobodyOnTheList',
            $stop,
            Mend::Roster,
        ];
        yield 'no groups' => [
            self::well(groups: [], rooms: [], copies: [], materials: []),
            'noGroups',
            $stop,
            Mend::Deal,
        ];
        yield 'a student with no seat' => [
            self::well(students: self::STUDENTS + ['eve' => 'Eve']),
            'withoutSeat',
            $stop,
            Mend::Repair,
        ];
        yield 'a student in two groups' => [
            self::well(groups: [$group('g', 'ada', 'ben'), $group('h', 'chi', 'dov', 'ben')]),
            'inTwoGroups',
            $stop,
            Mend::Desk,
        ];
        yield 'a must broken on the floor' => [
            self::well(broken: [new Message('grouping.rule.apart', ['students' => ['Ada', 'Ben']])]),
            'ruleBroken',
            $stop,
            Mend::Repair,
        ];
        yield 'a room that failed' => [
            self::well(rooms: [self::room('main'), self::room('g'), self::room('h', RoomState::Failed)]),
            'roomFailed',
            $stop,
            Mend::MakeRooms,
        ];
        yield 'a group without a room' => [
            self::well(rooms: [self::room('main'), self::room('g')]),
            'withoutRoom',
            $stop,
            Mend::SetUp,
        ];
        yield 'a room that is planned' => [
            self::well(rooms: [self::room('main'), self::room('g'), self::room('h', RoomState::Planned)]),
            'withoutRoom',
            $stop,
            Mend::SetUp,
        ];
        yield 'rooms on their way' => [
            self::well(
                rooms: [self::room('main'), self::room('g'), self::room('h', RoomState::Planned, working: true)],
            ),
            'roomsBeingMade',
            $stop,
            Mend::Wait,
        ];
        yield 'a group without a link' => [
            self::well(rooms: \array_slice($own, 0, 2), source: SourceKind::OwnLinks),
            'withoutRoom',
            $stop,
            Mend::SayWhere,
        ];
        yield 'one link for two groups' => [
            self::well(
                rooms: [$own[0], $own[1], self::linked('h', 'HTTPS://Rooms.example/g/')],
                source: SourceKind::OwnLinks,
            ),
            'sharedLink',
            $stop,
            Mend::SayWhere,
        ];
        yield 'a group with the link of the main session' => [
            self::well(
                rooms: [$own[0], $own[1], self::linked('h', 'rooms.example/main?utm_source=x')],
                source: SourceKind::OwnLinks,
            ),
            'sharedLink',
            $stop,
            Mend::SayWhere,
        ];
        yield 'nobody to open a room' => [
            self::well(
                groups: [$group('g', 'ada', 'ben'), new PlannedGroup('h', 'H', ['chi', 'dov'], ['chi' => 'scribe'])],
                rooms: $own,
                source: SourceKind::OwnLinks,
                openedBy: 'lead',
            ),
            'nobodyOpens',
            $stop,
            Mend::Desk,
        ];
        yield 'students can write in an original' => [
            self::well(materials: [$material(open: true)]),
            'originalOpen',
            $stop,
            Mend::Materials,
        ];
        yield 'nothing to work on' => [
            self::well(materials: [], copies: []),
            'noMaterial',
            $stop,
            Mend::WriteOriginal,
        ];
        yield 'an original that is not finished' => [
            self::well(materials: [$material(unfinished: 'There is nothing on it.', missing: 2)], copies: []),
            'unfinishedOriginal',
            $stop,
            Mend::WriteOriginal,
        ];
        yield 'a group without its copy' => [
            self::well(materials: [$material(missing: 1)]),
            'withoutCopy',
            $stop,
            Mend::SetUp,
        ];
        yield 'a copy of another round' => [
            self::well(copies: [...self::copies(), new PlannedCopy('x', 'X', 'o', 'g', null, isOfRound: false)]),
            'copyOfOthers',
            $stop,
            Mend::Materials,
        ];
        yield 'a copy of another group' => [
            self::well(copies: [...self::copies(), new PlannedCopy('x', 'X', 'o', 'elsewhere', null)]),
            'copyOfOthers',
            $stop,
            Mend::Materials,
        ];
        yield 'a copy that outsiders can open' => [
            self::well(copies: [new PlannedCopy('a', 'A', 'o', 'g', null, writers: ['ada', 'ben', 'chi'])]),
            'wrongWriters',
            $stop,
            Mend::MakeCopies,
        ];
        yield 'a copy that a member cannot write in' => [
            self::well(copies: [new PlannedCopy('a', 'A', 'o', null, 'ada', writers: [])]),
            'wrongWriters',
            $stop,
            Mend::MakeCopies,
        ];
        yield 'a running order that does not fit' => [self::well(minutes: 44), 'orderTooLong', $stop, Mend::Order];

        yield 'a group of one' => [
            self::well(groups: [$group('g', 'ada', 'ben', 'dov'), $group('h', 'chi')]),
            'smallGroup',
            $look,
            Mend::Desk,
        ];
        yield 'a group that nobody of is here' => [
            self::well(students: ['ada' => 'Ada', 'ben' => 'Ben']),
            'smallGroup',
            $look,
            Mend::Desk,
        ];
        yield 'sizes that differ by more than the plan' => [
            self::well(
                students: self::STUDENTS + ['eve' => 'Eve', 'fay' => 'Fay'],
                groups: [$group('g', 'ada', 'ben', 'eve', 'fay'), $group('h', 'chi', 'dov')],
            ),
            'unevenSizes',
            $look,
            Mend::Desk,
        ];
        yield 'nowhere to come back to' => [
            self::well(rooms: \array_slice($own, 1), source: SourceKind::OwnLinks),
            'noMainSession',
            $look,
            Mend::SayWhere,
        ];
        yield 'no main session made' => [
            self::well(rooms: [self::room('g'), self::room('h')]),
            'noMainSession',
            $look,
            Mend::SetUp,
        ];
        yield 'a link never tried' => [
            self::well(
                rooms: [$own[0], $own[1], self::linked('h', 'rooms.example/h', tried: false)],
                source: SourceKind::OwnLinks,
            ),
            'roomUntried',
            $look,
            Mend::Rooms,
        ];
        yield 'a guessable link' => [
            self::well(
                rooms: [$own[0], $own[1], self::linked('h', 'rooms.example/h', guessable: true)],
                source: SourceKind::OwnLinks,
            ),
            'guessableLink',
            $look,
            Mend::Rooms,
        ];
        yield 'a link that looks like another' => [
            self::well(rooms: [$own[0], $own[1], self::linked('h', 'r00ms.example/h')], source: SourceKind::OwnLinks),
            'linksAlike',
            $look,
            Mend::Rooms,
        ];
        yield 'a variant that no group gets' => [
            self::well(materials: [$material(variants: ['A', 'B', 'C'], gets: ['g' => 'A', 'h' => 'B'])]),
            'variantForNobody',
            $look,
            Mend::Materials,
        ];
        yield 'two groups with the same where all should differ' => [
            self::well(
                students: self::STUDENTS + ['eve' => 'Eve', 'fay' => 'Fay'],
                groups: [$group('g', 'ada', 'ben'), $group('h', 'chi', 'dov'), $group('i', 'eve', 'fay')],
                rooms: [self::room('main'), self::room('g'), self::room('h'), self::room('i')],
                materials: [$material(variants: ['A', 'B', 'C'], gets: ['g' => 'A', 'h' => 'A', 'i' => 'B'])],
            ),
            'sameVariant',
            $look,
            Mend::Materials,
        ];
        yield 'a material nobody gets' => [
            self::well(materials: [$material(), new PlannedMaterial('p', 'Map', gets: ['g' => null, 'h' => null])]),
            'materialForNobody',
            $look,
            Mend::Materials,
        ];
        yield 'a copy from an older version' => [
            self::well(materials: [$material(version: 2)]),
            'oldCopy',
            $look,
            Mend::BringChanges,
        ];
        yield 'a pass never used' => [self::well(unused: ['ben', 'gone']), 'passUnused', $look, Mend::Slips];
        yield 'no time for share-out' => [
            self::well(order: [[SegmentKind::Briefing, 10], [SegmentKind::Round, 20]]),
            'noShareOut',
            $look,
            Mend::Order,
        ];
        $post = static fn (array $audience, ?int $due = null, ?int $wanted = null): PlannedPost => new PlannedPost(
            'H',
            array_values(array_filter($audience, is_string(...))),
            ['chi', 'dov'],
            $due,
            $wanted,
        );
        yield 'a post that somebody else sees too' => [
            self::well(posts: [$post(['chi', 'dov', 'ben'])]),
            'postAudience',
            $stop,
            Mend::SetUp,
        ];
        yield 'a post that somebody of the group does not see' => [
            self::well(posts: [$post(['chi'])]),
            'postAudience',
            $stop,
            Mend::SetUp,
        ];
        yield 'a due time lost' => [
            self::well(posts: [$post(['chi', 'dov'], null, 9_000)]),
            'dueTimeLost',
            $look,
            Mend::SetUp,
        ];
        yield 'a due time before the lesson' => [
            self::well(posts: [$post(['chi', 'dov'], 9_000, 9_000)], startsAt: 10_000),
            'dueTimeEarly',
            $look,
            Mend::Sending,
        ];
        yield 'letters still to go out' => [self::well(unsent: 2), 'notSent', $look, Mend::SetUp];
        yield 'a letter that came back' => [self::well(returned: ['Chi']), 'letterReturned', $look, Mend::Sending];
        yield 'a room that the service does not know any more' => [
            self::well(
                rooms: [
                    self::room('main'),
                    self::room('g'),
                    new PlannedRoom('h', 'H', RoomState::Made, SourceKind::MeetingService, lost: true),
                ],
            ),
            'roomLost',
            $look,
            Mend::SetUp,
        ];
        $sound = static fn (PlannedSound $sound): Plan => self::well(
            rooms: [],
            source: SourceKind::OwnRooms,
            sound: $sound,
        );
        yield 'nobody can be heard' => [$sound(new PlannedSound(away: true)), 'soundAway', $look, Mend::Rooms];
        yield 'somebody has never tried a microphone' => [
            $sound(new PlannedSound(untried: ['chi', 'left'])),
            'microphoneUntried',
            $look,
            Mend::Rooms,
        ];
        yield 'a network that lets no sound through' => [
            $sound(new PlannedSound(untried: [], unreachable: ['dov'])),
            'soundUnreachable',
            $look,
            Mend::Rooms,
        ];
        yield 'a class that cannot read and nothing to hear' => [
            self::well(materials: [$material()], cannotReadYet: true),
            'notToBeHeard',
            $look,
            Mend::WriteOriginal,
        ];
        yield 'copies on their way' => [
            self::well(materials: [$material(missing: 1)], settingUp: true),
            'copiesBeingMade',
            $stop,
            Mend::Wait,
        ];
        yield 'visits shorter than a minute' => [self::well(roundMinutes: 1), 'shortVisits', $look, Mend::Order];
    }

    public function test_a_lesson_that_is_talk_only_misses_no_worksheet(): void
    {
        self::assertSame([], self::found(self::well(materials: [], copies: [], talkOnly: true)));
        self::assertSame(
            Mend::TalkOnly,
            ReadyCheck::standard()->run(self::well(materials: [], copies: []))[0]->other,
            'one press says that it is',
        );
    }

    public function test_what_is_found_in_several_rounds_is_said_once_with_their_numbers(): void
    {
        $empty = self::well(groups: [], rooms: [], copies: [], materials: []);
        $found = ReadyCheck::standard()->runAll([1 => self::well(), 2 => $empty, 3 => $empty]);
        self::assertSame(
            [['noGroups', [2, 3]]],
            array_map(static fn (Finding $finding): array => [$finding->check, $finding->rounds], $found),
        );
        self::assertSame([], ReadyCheck::standard()->runAll([1 => self::well(), 2 => self::well()]));
        $both = ReadyCheck::standard()->runAll([1 => self::well(materials: [], copies: []), 2 => $empty]);
        self::assertSame(
            [['noMaterial', [1]], ['noGroups', [2]]],
            array_map(static fn (Finding $finding): array => [$finding->check, $finding->rounds], $both),
        );
    }

    public function test_what_stops_comes_first_and_everything_that_is_wrong_is_said_at_once(): void
    {
        $plan = self::well(
            rooms: [],
            materials: [],
            copies: [],
            order: [[SegmentKind::Round, 20]],
            broken: [new Message('grouping.rule.apart', ['students' => ['Ada', 'Ben']])],
        );
        self::assertSame(['ruleBroken', 'noMaterial', 'withoutRoom', 'noShareOut'], self::found($plan));
    }

    public function test_a_spoken_note_is_enough_for_those_who_cannot_read_yet(): void
    {
        self::assertSame(
            [],
            self::found(
                self::well(
                    materials: [new PlannedMaterial('o', 'Sheet', gets: ['g' => '', 'h' => ''], spoken: true)],
                    cannotReadYet: true,
                ),
            ),
        );
    }

    public function test_many_names_are_said_at_a_glance(): void
    {
        $plan = self::well(students: self::STUDENTS + array_combine(range('p', 'z'), range('P', 'Z')));
        $says = ReadyCheck::standard()->run($plan)[0]->says->values['students'];
        self::assertInstanceOf(Message::class, $says);
        self::assertSame(['names' => ['P', 'Q', 'R'], 'more' => 8], $says->values);
    }

    /**
     * @return list<string> which checks found something
     */
    private static function found(Plan $plan): array
    {
        return array_map(static fn (Finding $finding): string => $finding->check, ReadyCheck::standard()->run($plan));
    }

    private static function well(mixed ...$with): Plan
    {
        return new Plan(
            // @phpstan-ignore argument.type (each is what the plan takes under that name; a wrong one fails at once)
            ...$with + [
                'students' => self::STUDENTS,
                'groups' => [
                    new PlannedGroup('g', 'G', ['ada', 'ben'], ['ada' => 'lead']),
                    new PlannedGroup('h', 'H', ['chi', 'dov'], ['chi' => 'Lead']),
                ],
                'rooms' => [self::room('main'), self::room('g'), self::room('h')],
                'materials' => [new PlannedMaterial('o', 'Sheet', gets: ['g' => '', 'h' => ''])],
                'copies' => self::copies(),
                'order' => [[SegmentKind::Briefing, 10], [SegmentKind::Round, 20], [SegmentKind::ShareOut, 15]],
                'minutes' => 45,
            ],
        );
    }

    /**
     * @return list<PlannedCopy>
     */
    private static function copies(): array
    {
        return [new PlannedCopy('a', 'A', 'o', 'g', null), new PlannedCopy('b', 'B', 'o', 'h', null)];
    }

    private static function room(
        string $place,
        RoomState $state = RoomState::Made,
        bool $working = false,
    ): PlannedRoom {
        return new PlannedRoom($place, strtoupper($place), $state, SourceKind::MeetingService, $working);
    }

    private static function linked(
        string $place,
        string $link,
        bool $tried = true,
        bool $guessable = false,
    ): PlannedRoom {
        return new PlannedRoom(
            $place,
            strtoupper($place),
            RoomState::Made,
            SourceKind::OwnLinks,
            false,
            Link::read($link),
            $tried,
            $guessable,
        );
    }

    /**
     * @return list<PlannedRoom>
     */
    private static function own(): array
    {
        return [
            self::linked('main', 'rooms.example/main'),
            self::linked('g', 'rooms.example/g'),
            self::linked('h', 'rooms.example/h'),
        ];
    }
}
