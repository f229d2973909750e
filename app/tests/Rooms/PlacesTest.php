<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * Rooms that come from elsewhere than the meeting service: links of the teacher's own, addresses by a pattern, places
 * in the building; and side rooms.
 */
final class PlacesTest extends AppTestCase
{
    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson();
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
    }

    public function test_pasted_links_are_shown_first_and_then_taken_as_shown(): void
    {
        $this->source(['kind' => 'ownLinks']);
        $text =
            "Main session: https://rooms.example/all\nhttps://rooms.example/a\njavascript:alert(1)\nhttps://rooms.example/b\nhttps://rooms.example/c";
        $read = $this->ask('POST', $this->round('links/read'), ['text' => $text])->is(200);
        self::assertSame(
            ['main', $this->group(0), $this->group(1), null, null],
            array_map(static fn (int $i): mixed => $read->at("{$i}.place"), range(0, 4)),
        );
        self::assertSame('A link to a room starts with https://, not javascript:', $read->text('2.note'));
        self::assertSame(
            'There are more links than groups.',
            $read->text('3.note'),
            'the group of the refused line has no link, and no other has moved up',
        );
        self::assertSame(0, $this->rows('room'), 'nothing happened yet');
        $this->ask('PUT', $this->round('links'), ['text' => $text])->is(200);
        self::assertSame(['made', 'made', 'planned'], $this->states());
        self::assertSame(
            ['https://rooms.example/all', 'https://rooms.example/a', null],
            array_map(fn (int $i): mixed => $this->again()->at("rooms.{$i}.link"), [0, 1, 2]),
        );
        $this->ask('PUT', $this->round('links'), ['text' => 'nothing at all'])->is(422);
    }

    public function test_one_link_never_serves_two_groups_two_classes_or_a_group_and_the_main_session(): void
    {
        $this->links("main https://rooms.example/all\nhttps://rooms.example/a\nhttps://rooms.example/b");
        foreach (['HTTPS://ROOMS.example:443/a/?utm_source=x', 'rooms.example/%61ll'] as $spelling) {
            $refused = $this->ask('PATCH', '/api/staff/rooms/'.$this->again()->text('rooms.2.id'), [
                'link' => $spelling,
            ])->is(422);
            self::assertStringContainsString(
                '"link"',
                (string) json_encode($refused->at('')),
                'it is said at the field',
            );
        }
        $other = $this->newLesson(4, '10B');
        $this->ask('POST', '/api/staff/groupings/'.$other->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 2,
            'seed' => 1,
        ])->is(200);
        $read = $this->ask('POST', '/api/staff/rounds/'.$other->text('round.id').'/links/read', [
            'text' => "https://rooms.example/a\nhttps://rooms.example/d",
        ])->is(200);
        self::assertSame('9G already uses this link.', $read->text('0.note'));
        self::assertNull($read->at('1.note'));
    }

    public function test_links_stay_with_the_class_and_serve_the_next_groups_without_being_pasted_again(): void
    {
        $this->links("main https://rooms.example/all\nhttps://rooms.example/a\nhttps://rooms.example/b");
        $next = $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/lessons', [
            'title' => 'Next',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
            'groups' => 'newPartners',
        ])->is(200);
        self::assertNotSame($this->lesson->text('floor.id'), $next->text('floor.id'));
        $without = array_values(
            array_filter(
                $next->list('findings'),
                static fn (mixed $one): bool => \is_array($one) && 'withoutRoom' === $one['check'],
            ),
        );
        self::assertSame(
            ['setUp', 'Set up 2 rooms and 2 copies'],
            [$without[0]['mend'] ?? '', $without[0]['press'] ?? ''],
        );
        $this->beginSetUp($next);
        $this->work();
        $links = fn (Json $lesson): array => array_column(
            $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->list('rooms'),
            'link',
        );
        self::assertSame(
            ['https://rooms.example/all', 'https://rooms.example/a', 'https://rooms.example/b'],
            $links($next),
        );
        self::assertSame($links($next), $links($this->lesson), 'and the lesson before keeps them');
        $this->ask('PUT', '/api/staff/rounds/'.$next->text('round.id').'/links', [
            'text' => "https://rooms.example/c\nhttps://rooms.example/d",
        ])->is(200);
        self::assertSame(
            ['https://rooms.example/all', 'https://rooms.example/a', 'https://rooms.example/b'],
            $links($this->lesson),
        );
    }

    public function test_links_may_be_exchanged_and_who_tried_one_need_not_do_so_again(): void
    {
        $this->links("https://rooms.example/a\nhttps://rooms.example/b");
        $this->ask('POST', '/api/staff/rooms/'.$this->again()->text('rooms.1.id').'/tried', ['was' => true])->is(
            204,
        );
        $this->links("https://rooms.example/a\nhttps://rooms.example/b");
        self::assertIsInt($this->again()->at('rooms.1.triedAt'));
        $this->links("https://rooms.example/b\nhttps://rooms.example/a");
        self::assertSame(
            ['https://rooms.example/b', 'https://rooms.example/a'],
            [$this->again()->at('rooms.1.link'), $this->again()->at('rooms.2.link')],
        );
        self::assertNull($this->again()->at('rooms.1.triedAt'), 'another link has to be tried');
    }

    public function test_a_student_is_led_to_the_own_link_and_is_there_for_all_that_can_be_known(): void
    {
        $this->links("main https://rooms.example/all\nhttps://rooms.example/a\nhttps://rooms.example/b");
        $me = $this->lesson->text('floor.groups.0.students.0');
        $student = $this->join($this->lesson, $me);
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->asStudent($student);
        $now = $this->ask('GET', '/api/student/now');
        self::assertSame('press', $now->text('group.room.way'));
        self::assertStringNotContainsString(
            'rooms.example',
            (string) json_encode($now->at('')),
            'no address stands on a student’s page',
        );
        $this->ask('GET', '/api/student/room')->is(302);
        self::assertSame('https://rooms.example/a', $this->client->getResponse()->headers->get('Location'));
        self::assertSame('no-referrer', $this->client->getResponse()->headers->get('Referrer-Policy'));
        $this->asTeacher();
        self::assertSame(['inPlace', 'link'], $this->seen($me), 'weaker evidence, and it says so');
    }

    public function test_the_lead_opens_and_the_others_wait_for_that(): void
    {
        $this->links("https://rooms.example/a\nhttps://rooms.example/b");
        $this->source(['openedBy' => 'Lead']);
        $grouping = $this->lesson->text('floor.id');
        $this->db()->executeStatement("INSERT INTO seat_role (grouping_id, number, role) VALUES (?, 1, 'lead')", [
            $grouping,
        ]);
        [$lead, $mate] = [
            $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0')),
            $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.1')),
        ];
        $stranger = $this->join($this->lesson, $this->lesson->text('floor.groups.1.students.1'));
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $way = function (string $who): string {
            $this->asStudent($who);

            return $this->ask('GET', '/api/student/now')->text('group.room.way');
        };
        self::assertSame(['open', 'wait', 'wait'], array_map($way, [$lead, $mate, $stranger]));
        $this->asStudent($mate);
        $this->ask('POST', '/api/student/room/open')->is(403);
        $this->asStudent($lead);
        $this->ask('POST', '/api/student/room/open')->is(200);
        $this->ask('POST', '/api/student/room/open')->is(200);
        self::assertSame(['press', 'press', 'wait'], array_map($way, [$lead, $mate, $stranger]));
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'callBack', 0);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        self::assertSame(
            ['open', 'wait', 'wait'],
            array_map($way, [$lead, $mate, $stranger]),
            'in the next round it is opened again',
        );
    }

    public function test_in_the_classroom_a_room_is_a_place_with_a_name(): void
    {
        $this->source(['kind' => 'classroom']);
        $this->ask('POST', $this->round('rooms'))->is(200);
        self::assertSame(['made', 'made', 'made'], $this->states());
        $this->ask('PATCH', '/api/staff/rooms/'.$this->again()->text('rooms.1.id'), [
            'name' => 'The window table',
        ])->is(204);
        $this->ask('GET', '/api/staff/rooms/'.$this->again()->text('rooms.1.id').'/way')->is(422);
        $me = $this->lesson->text('floor.groups.0.students.0');
        $student = $this->join($this->lesson, $me);
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->asStudent($student);
        $now = $this->ask('GET', '/api/student/now');
        self::assertSame(
            ['place', 'The window table'],
            [$now->text('group.room.way'), $now->text('group.room.name')],
        );
        $this->ask('GET', '/api/student/room')->is(302);
        self::assertSame('/student?room=none', $this->client->getResponse()->headers->get('Location'));
        $this->asTeacher();
        self::assertSame(['inPlace', 'page'], $this->seen($me));
    }

    public function test_a_pattern_makes_an_address_for_each_room_that_stays_when_groups_are_called_otherwise(): void
    {
        $view = $this->source(['kind' => 'namePattern', 'addressPattern' => 'https://rooms.example/{class}-{n}']);
        self::assertTrue($view->at('guessable'));
        $this->source(['addressPattern' => $view->text('withTail')]);
        $this->ask('POST', $this->round('rooms'))->is(200);
        self::assertSame(['made', 'made', 'made'], $this->states());
        $before = $this->again()->text('rooms.1.link');
        self::assertMatchesRegularExpression('~^https://rooms\.example/9g-1-[0-9a-hjkmnp-tv-z]{10}$~', $before);
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'basedOn' => 1,
            'kind' => 'rename',
            'group' => $this->group(0),
            'name' => 'Quayside',
        ])->is(200);
        $this->work();
        self::assertSame($before, $this->again()->text('rooms.1.link'));
        $this->source(['addressPattern' => 'https://rooms.example/other-{n}-{tail}']);
        self::assertStringStartsWith(
            'https://rooms.example/other-1-',
            $this->again()->text('rooms.1.link'),
            'another pattern is another address',
        );
        self::assertSame(['made', 'made', 'made'], $this->states());
        $this->ask('PUT', '/api/staff/classes/'.$this->lesson->text('classId').'/room-source', [
            'addressPattern' => 'https://rooms.example/{colour}',
        ])->is(422);
        $this->ask('PUT', '/api/staff/classes/'.$this->lesson->text('classId').'/room-source', [
            'addressPattern' => 'https://intranet/{n}',
        ])->is(422);
    }

    public function test_rooms_that_are_there_stay_where_they_are_and_each_can_come_from_elsewhere(): void
    {
        $this->ask('POST', $this->round('rooms'))->is(200);
        $this->work();
        $this->source(['kind' => 'classroom']);
        self::assertSame(['meetingService', 'meetingService', 'meetingService'], $this->sources());
        $this->ask('PATCH', '/api/staff/rooms/'.$this->again()->text('rooms.2.id'), ['source' => 'classroom'])->is(
            204,
        );
        $this->ask('PATCH', '/api/staff/rooms/'.$this->again()->text('rooms.1.id'), [
            'link' => 'https://rooms.example/a',
        ])->is(204);
        self::assertSame(['meetingService', 'ownLinks', 'classroom'], $this->sources());
        self::assertSame(['made', 'made', 'made'], $this->states());
        self::assertSame(
            2,
            $this->rows('due_task', "kind = 'retireRoom'"),
            'the two at the service are let go of there',
        );
        $this->work();
        self::assertSame(0, $this->rows('due_task', "kind = 'retireRoom'"));
    }

    public function test_side_rooms_belong_to_no_group_and_no_student_goes_in_by_themselves(): void
    {
        $class = $this->lesson->text('classId');
        $this->ask('POST', "/api/staff/classes/{$class}/side-rooms", ['name' => ' '])->is(422);
        $this->ask('POST', "/api/staff/classes/{$class}/side-rooms", ['name' => 'Quiet room'])->is(204);
        $this->work();
        $this->ask('POST', $this->round('rooms'))->is(200);
        $this->work();
        $room = $this->again();
        self::assertSame(
            ['main', 'group', 'group', 'side'],
            array_map(static fn (int $i): string => $room->text("rooms.{$i}.purpose"), range(0, 3)),
        );
        self::assertSame(0, $this->rows('room_member', "room_id = '{$room->text('rooms.3.id')}'"));
        $this->ask('GET', '/api/staff/rooms/'.$room->text('rooms.3.id').'/way')->is(302);
        $this->ask('POST', '/api/staff/rooms/'.$room->text('rooms.1.id').'/take-away', ['sure' => false])->is(
            422,
        );
        $this->ask('POST', '/api/staff/rooms/'.$room->text('rooms.3.id').'/take-away', ['sure' => false])->is(
            204,
        );
        self::assertCount(3, $this->again()->list('rooms'));
    }

    /**
     * @param array<string, mixed> $fields
     */
    private function source(array $fields): Json
    {
        return $this->ask(
            'PUT',
            '/api/staff/classes/'.$this->lesson->text('classId').'/room-source',
            $fields,
        )->is(200);
    }

    private function links(string $text): void
    {
        $this->ask('PUT', $this->round('links'), ['text' => $text])->is(200);
    }

    private function round(string $what): string
    {
        return '/api/staff/rounds/'.$this->lesson->text('round.id').'/'.$what;
    }

    private function group(int $n): string
    {
        return $this->lesson->text("floor.groups.{$n}.id");
    }

    private function again(): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    /**
     * @return array{string, string} where a student is, and what that is known by
     */
    private function seen(string $student): array
    {
        $lesson = $this->again();
        foreach (array_keys($lesson->list('students')) as $i) {
            if ($lesson->text("students.{$i}.id") === $student) {
                return [$lesson->text("students.{$i}.place"), $lesson->text("students.{$i}.because")];
            }
        }
        self::fail('They are not on the list.');
    }

    /**
     * @return list<string>
     */
    private function states(): array
    {
        return array_map(
            fn (int $i): string => $this->again()->text("rooms.{$i}.state"),
            array_keys($this->again()->list('rooms')),
        );
    }

    /**
     * @return list<string>
     */
    private function sources(): array
    {
        return array_map(
            fn (int $i): string => $this->again()->text("rooms.{$i}.source"),
            array_keys($this->again()->list('rooms')),
        );
    }

    private function rows(string $table, string $where = 'TRUE'): int
    {
        $n = $this->db()->fetchOne("SELECT COUNT(*) FROM {$table} WHERE {$where}");

        return is_numeric($n) ? (int) $n : -1;
    }
}
