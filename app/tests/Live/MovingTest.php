<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Moving\MoveTaskHandler;
use FreshHuddle\App\Live\Moving\OnMembersSet;
use FreshHuddle\App\Rooms\Event\MembersSet;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\RoomsInMemory;
use FreshHuddle\App\Worker\Task;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Uid\Uuid;

/**
 * Taking aside, calling back alone, fetching, splitting and merging through the real application: whoever it concerns
 * is told, and nobody else.
 */
final class MovingTest extends AppTestCase
{
    private Json $lesson;

    /** @var array<int, string> a member's cookie by group */
    private array $member = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        foreach ([0, 1] as $i) {
            $this->member[$i] = $this->join($this->lesson, $this->student($i));
        }
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0, 'autoCallBack' => false]);
        $this->give('sendOut');
    }

    public function test_one_is_taken_to_a_side_room_and_is_back_where_they_were_with_one_press(): void
    {
        $room = $this->sideRoom();
        $before = $this->page(1)->raw;
        $this->give('takeAside', ['students' => [$this->student(0)], 'place' => $room]);
        $page = $this->page(0);
        self::assertSame([$room, 'The office'], [$page->text('aside.place'), $page->text('aside.name')]);
        self::assertSame($this->group(0), $page->text('group.id'), 'the seat stays theirs, and the copy');
        self::assertSame($room, $this->seen(0)->at('aside'));
        self::assertSame(
            self::timeless($before),
            self::timeless($this->page(1)->raw),
            'nobody else’s page says anything of it',
        );
        $this->give('takeAside', ['students' => [$this->student(0)], 'place' => 'main', 'seconds' => 60]);
        self::assertSame($room, $this->page(0)->text('aside.place'), 'until the countdown is over they stay there');
        $this->give('takeAside', ['students' => [$this->student(0)], 'place' => $room]);
        $this->asTeacher();
        $this->ask('POST', "/api/staff/rooms/{$room}/take-away", ['sure' => true])->is(422);
        $this->give('putBack', ['students' => [$this->student(0)]]);
        self::assertNull($this->page(0)->at('aside'));
        self::assertNull($this->seen(0)->at('aside'));
    }

    public function test_a_group_is_called_back_alone_and_the_others_go_on(): void
    {
        $this->give('takeAside', ['group' => $this->group(0), 'place' => 'main', 'seconds' => 60]);
        self::assertGreaterThan($this->page(0)->int('serverNow'), $this->page(0)->int('aside.from'));
        self::assertNull($this->page(1)->at('aside'));
        $members = $this->lesson->texts('floor.groups.0.students');
        $aside = array_column(
            array_filter(
                $this->again()->list('students'),
                static fn (mixed $one): bool => \is_array($one) && 'main' === $one['aside'],
            ),
            'id',
        );
        sort($aside);
        sort($members);
        self::assertSame($members, $aside);
        $this->asStudent($this->member[0]);
        self::assertSame(302, $this->ask('GET', '/api/student/room')->status);
    }

    public function test_only_known_students_go_to_known_places(): void
    {
        $this->press('takeAside', [
            'students' => [$this->student(0)],
            'place' => '0197c1a0-0000-7000-8000-00000000ffff',
        ])->is(422);
        $this->press('takeAside', ['students' => [$this->student(0)], 'place' => $this->group(1)])->is(422);
        $this->press('takeAside', ['students' => ['0197c1a0-0000-7000-8000-00000000ffff'], 'place' => 'main'])->is(
            422,
        );
        $this->press('takeAside', ['students' => [], 'place' => 'main'])->is(422);
        $this->press('takeAside', ['students' => ['<script>'], 'place' => 'main'])->is(422);
        $this->give('callBack', ['seconds' => 0]);
        $this->press('takeAside', ['students' => [$this->student(0)], 'place' => 'main'])->is(422);
    }

    public function test_whoever_is_missing_is_fetched_with_one_press_and_their_page_says_so(): void
    {
        // Both pages are open, in no room; half a minute has passed.
        $this->db()->executeStatement(
            'UPDATE round SET out_at = out_at - 60000',
        );
        self::assertSame(['leftBehind', 'remind'], [$this->seen(0)->at('place'), $this->seen(0)->at('help')]);
        $this->give('fetch');
        self::assertIsInt($this->page(0)->at('fetchedAt'));
        self::assertIsInt($this->page(1)->at('fetchedAt'));
        self::assertNull($this->page(0)->at('aside'));
        $tasks = $this->db()->fetchFirstColumn(
            "SELECT subject FROM due_task WHERE kind = 'fetchStudent' ORDER BY subject",
        );
        self::assertCount(2, $tasks, 'who never came is not fetched');
        $this->give('fetch', ['students' => [$this->student(0)]]);
        $events = $this->db()->fetchOne("SELECT COUNT(*) FROM live_event WHERE kind = 'fetched'");
        self::assertSame(2, $events, 'pressed again at once it is one press');
        $task = new Task(1, MoveTaskHandler::FETCH, $this->lesson->text('round.id').':'.$this->student(0), [], 1, 0);
        self::assertNull(
            $this->service(MoveTaskHandler::class)->handle($task),
            'a reminder is said once; the page keeps it',
        );
    }

    public function test_a_group_is_split_and_its_new_part_begins_with_what_stands_in_the_copy(): void
    {
        $copy = $this->copyOf($this->group(0));
        $this->write(0, $copy, 'We build it here.');
        $members = $this->lesson->texts('floor.groups.0.students');
        $floor = $this->edit(['kind' => 'split', 'group' => $this->group(0), 'students' => [$members[2]]])->is(200);
        self::assertSame(
            [2, 3, 1],
            array_map(
                static fn (mixed $group): int => \is_array($group) && \is_array($group['students'])
                    ? \count($group['students'])
                    : 0,
                $floor->list('groups'),
            ),
        );
        $new = $floor->text('groups.2.id');
        $made = $this->copyOf($new);
        self::assertNotSame($copy, $made);
        $this->write(0, $copy, 'And a gate.', 'We build it here.');
        self::assertSame(['And a gate.'], $this->decision($copy));
        self::assertSame(['We build it here.'], $this->decision($made), 'from here on they are two');
        self::assertSame(
            1,
            $this->db()->fetchOne("SELECT COUNT(*) FROM live_event WHERE kind = 'seatsChanged'"),
            'one has moved',
        );
    }

    public function test_a_part_of_a_group_gets_what_the_whole_group_got(): void
    {
        $this->db()->executeStatement(
            "INSERT INTO hand_out (id, round_id, original_id, group_id, way, variant, position)
                SELECT gen_random_uuid(), round_id, original_id, ?, 'each', '', position FROM hand_out
                WHERE group_id IS NULL",
            [$this->group(0)],
        );
        $members = $this->lesson->texts('floor.groups.0.students');
        $new = $this->edit(['kind' => 'split', 'group' => $this->group(0), 'students' => [$members[2]]])
            ->is(200)
            ->text('groups.2.id');
        self::assertSame('each', $this->db()->fetchOne('SELECT way FROM hand_out WHERE group_id = ?', [$new]));
        self::assertSame(
            $members[2],
            $this->db()->fetchOne('SELECT student_id FROM work_copy WHERE student_id = ?', [$members[2]]),
            'and a copy of their own',
        );
    }

    public function test_two_groups_are_merged_their_copy_is_the_one_they_go_to_and_undo_brings_both_back(): void
    {
        $this->write(1, $this->copyOf($this->group(1)), 'Kept.');
        $floor = $this->edit(['kind' => 'merge', 'group' => $this->group(0), 'into' => $this->group(1)])->is(200);
        self::assertCount(1, $floor->list('groups'));
        self::assertSame($this->group(1), $this->page(0)->text('group.id'));
        self::assertSame([$this->copyOf($this->group(1))], array_column($this->page(0)->list('group.copies'), 'id'));
        $this->asTeacher();
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/undo', [
            'basedOn' => $this->again()->int('floor.step'),
        ])->is(200);
        self::assertSame($this->group(0), $this->page(0)->text('group.id'));
    }

    public function test_nonsense_splits_and_merges_are_refused(): void
    {
        $members = $this->lesson->texts('floor.groups.0.students');
        foreach (
            [
                ['kind' => 'split', 'group' => $this->group(0), 'students' => $members],
                ['kind' => 'split', 'group' => $this->group(0), 'students' => []],
                ['kind' => 'split', 'group' => $this->group(0), 'students' => [$this->student(1)]],
                ['kind' => 'split', 'students' => [$members[0]]],
                ['kind' => 'merge', 'group' => $this->group(0), 'into' => $this->group(0)],
                ['kind' => 'merge', 'group' => $this->group(0)],
            ] as $nonsense
        ) {
            $this->edit($nonsense)->is(422);
        }
        self::assertCount(2, $this->again()->list('floor.groups'));
    }

    public function test_whoever_is_moved_is_taken_to_the_new_room_and_not_back_by_the_old_one(): void
    {
        $service = new RoomsInMemory();
        $follow = new OnMembersSet(
            $this->em(),
            $this->service(MoveStore::class),
            $this->service(FloorStore::class),
            $this->service(RoomReader::class),
            new RoomServices([$service]),
            $this->service(Clock::class),
        );
        [$old, $new] = [
            $this->lesson->texts('floor.groups.0.students'),
            $this->lesson->texts('floor.groups.1.students'),
        ];
        $this->edit(['kind' => 'seat', 'student' => $old[0], 'group' => $this->group(1)])->is(200);
        $follow(new MembersSet('new', $this->lesson->text('floor.id'), $this->group(1), [...$new, $old[0]]));
        $follow(new MembersSet('old', $this->lesson->text('floor.id'), $this->group(0), $old));
        self::assertSame('new', $service->moved[$old[0]]);
        self::assertSame('old', $service->moved[$old[1]]);
        $this->give('takeAside', ['students' => [$old[1]], 'place' => 'main']);
        $service->moved = [];
        $follow(new MembersSet('old', $this->lesson->text('floor.id'), $this->group(0), $old));
        self::assertArrayNotHasKey($old[1], $service->moved, 'who is aside stays there');
    }

    public function test_a_move_is_told_to_the_two_groups_and_to_nobody_else(): void
    {
        $third = $this->readyLesson(9, 3);
        $outsider = $this->join($third, $third->text('floor.groups.2.students.0'));
        $this->command($third->text('id'), 'sendOut')->is(200);
        $this->asStudent($outsider);
        $seq = $this->ask('POST', '/api/student/sign')->int('seq');
        $this->asTeacher();
        $this->ask('POST', '/api/staff/groupings/'.$third->text('floor.id').'/edits', [
            'kind' => 'seat',
            'student' => $third->text('floor.groups.0.students.0'),
            'group' => $third->text('floor.groups.1.id'),
            'basedOn' => $this->ask('GET', '/api/staff/lessons/'.$third->text('id'))->int('floor.step'),
        ])->is(200);
        $this->asStudent($outsider);
        self::assertSame(
            $seq,
            $this->ask('POST', '/api/student/sign')->int('seq'),
            'their page does not even look again',
        );
    }

    public function test_the_log_says_who_did_what(): void
    {
        $this->give('takeAside', ['students' => [$this->student(0)], 'place' => 'main']);
        $this->give('say', ['text' => 'Look here.', 'groups' => [$this->group(1)]]);
        $this->asStudent($this->member[1]);
        $this->ask('PUT', '/api/student/call', ['about' => 'stuck'])->is(200);
        $this->asTeacher();
        $log = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id').'/log')->is(200);
        self::assertSame(
            ['callMade', 'noticeSaid', 'takenAside', 'sentOut', 'segmentBegun'],
            array_column($log->list(''), 'kind'),
        );
        self::assertSame(
            [$this->lesson->text('floor.groups.1.name'), 'stuck'],
            [$log->text('0.group'), $log->text('0.about')],
        );
        self::assertSame(
            ['Ines Halvorsen', [$this->lesson->text('floor.groups.1.name')], 'Look here.'],
            [$log->text('1.who'), $log->texts('1.groups'), $log->text('1.text')],
        );
        self::assertSame('main', $log->text('2.place'));
    }

    private function sideRoom(): string
    {
        $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/side-rooms', [
            'name' => 'The office',
        ])->is(204);
        $rooms = array_filter(
            $this->again()->list('rooms'),
            static fn (mixed $room): bool => \is_array($room) && 'side' === $room['purpose'],
        );
        $id = array_values(array_column($rooms, 'id'))[0] ?? null;
        self::assertIsString($id);

        return $id;
    }

    /**
     * @param array<string, mixed> $edit
     */
    private function edit(array $edit): Json
    {
        $this->asTeacher();

        return $this->ask(
            'POST',
            '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits',
            $edit + ['basedOn' => $this->again()->int('floor.step')],
        );
    }

    private function write(int $group, string $copy, string $text, string $base = ''): void
    {
        $this->asStudent($this->member[$group]);
        $this->ask('PUT', "/api/student/copies/{$copy}/slots/decision", [
            'save' => Uuid::v7()->toRfc4122(),
            'base' => $base,
            'text' => $text,
        ])->is(200);
        $this->asTeacher();
    }

    /**
     * @return list<mixed>
     */
    private function decision(string $copy): array
    {
        return $this->db()->fetchFirstColumn("SELECT text FROM slot_answer WHERE copy_id = ? AND slot = 'decision'", [
            $copy,
        ]);
    }

    private function copyOf(string $group): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM work_copy WHERE group_id = ? AND round_id = ?', [
            $group,
            $this->lesson->text('round.id'),
        ]);
        self::assertIsString($id);

        return $id;
    }

    /**
     * @param array<string, mixed> $more
     */
    private function give(string $kind, array $more = []): void
    {
        $this->asTeacher();
        $this->press($kind, $more)->is(200);
    }

    /**
     * @param array<string, mixed> $more
     */
    private function press(string $kind, array $more = []): Json
    {
        return $this->ask(
            'POST',
            '/api/staff/lessons/'.$this->lesson->text('id').'/commands',
            ['kind' => $kind] + $more,
            ['Idempotency-Key' => Uuid::v4()->toRfc4122()],
        );
    }

    private function again(): Json
    {
        $this->asTeacher();

        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function page(int $group): Json
    {
        $this->asStudent($this->member[$group]);
        $page = $this->ask('GET', '/api/student/now')->is(200);
        $this->asTeacher();

        return $page;
    }

    private function seen(int $group): Json
    {
        foreach ($this->again()->list('students') as $i => $student) {
            if (\is_array($student) && $student['id'] === $this->student($group)) {
                return new Json(new Response(json_encode($student, \JSON_THROW_ON_ERROR)));
            }
        }
        self::fail('not on the list');
    }

    private static function timeless(string $page): string
    {
        return (string) preg_replace('/"serverNow":\d+/', '', $page);
    }

    private function student(int $group): string
    {
        return $this->lesson->text("floor.groups.{$group}.students.0");
    }

    private function group(int $index): string
    {
        return $this->lesson->text("floor.groups.{$index}.id");
    }
}
