<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Ready;

use FreshHuddle\App\Ready\Portal\CoursePortal;
use FreshHuddle\App\Ready\Portal\Post;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\ClassStaff;
use FreshHuddle\App\Roster\Staff\StaffRole;
use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\Outside;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\Mailer\Mailer;
use Symfony\Component\Mailer\Transport;
use Symfony\Component\Uid\Uuid;

/**
 * The set-up list through the real application and the real stand-ins: shown, carried out as shown, once; what goes
 * wrong outside is tried again, or said.
 */
final class SetUpTest extends AppTestCase
{
    use ClockSensitiveTrait;

    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        Outside::behave();
        $this->lesson = $this->readyLesson(6, 2);
        $this->db()->executeStatement('DELETE FROM work_copy');
    }

    protected function tearDown(): void
    {
        Outside::behave();
        parent::tearDown();
    }

    public function test_what_will_be_done_is_shown_and_nothing_of_it_has_happened(): void
    {
        $list = $this->list();
        self::assertSame('Set up 3 rooms and 2 copies', $list->text('press'));
        self::assertSame(
            [
                'Create the room “9G · Main session”',
                'Create the room “9G · 1 Group 1”',
                'Make a copy of “District sheet”',
                'Create the room “9G · 2 Group 2”',
                'Make a copy of “District sheet”',
            ],
            $this->says($list),
        );
        self::assertSame('There isn’t one yet.', $list->text('steps.0.because'));
        self::assertSame(0, $this->rows('work_copy') + $this->rows('room'));
    }

    public function test_one_press_carries_it_out_and_the_next_list_is_empty(): void
    {
        $this->carryOut();
        self::assertTrue($this->again()->at('setUp.running'));
        $this->work();
        self::assertSame([], $this->list()->list('steps'));
        self::assertNull($this->list()->at('press'));
        self::assertNull($this->again()->at('setUp'));
        self::assertSame(2, $this->rows('work_copy'));
        self::assertSame(['made', 'made', 'made'], $this->db()->fetchFirstColumn('SELECT state FROM room'));
    }

    public function test_a_list_that_is_another_by_now_is_refused_and_nothing_is_done(): void
    {
        $digest = $this->list()->text('digest');
        $this->swap();
        $this->ask('PATCH', '/api/staff/groupings/'.$this->lesson->text('floor.id'), ['name' => 'Tides']);
        $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/import', [
            'text' => "Name\nLate Lin",
        ]);
        self::assertSame(
            $digest,
            $this->list()->text('digest'),
            'who sits where changes nothing in it while nothing is made',
        );
        $this->ask('PUT', $this->round('hand-out'), [
            'rows' => [],
            'knew' => [$this->lesson->text('handOut.0.original')],
        ])->is(204);
        $this->ask('POST', $this->round('set-up'), ['digest' => $digest])->is(409);
        $this->work();
        self::assertSame(0, $this->rows('room'));
        $this->ask('POST', $this->round('set-up'), ['digest' => 'DROP TABLE'])->is(422);
    }

    public function test_pressed_twice_it_is_done_once(): void
    {
        $digest = $this->list()->text('digest');
        $this->ask('POST', $this->round('set-up'), ['digest' => $digest])->is(204);
        $this->ask('POST', $this->round('set-up'), ['digest' => $digest])->is(204);
        self::assertSame(1, $this->rows('set_up'));
        $this->work();
        $this->ask('POST', $this->round('set-up'), ['digest' => $digest])->is(409);
        self::assertSame(3, $this->rows('room'));
    }

    public function test_one_that_broke_for_good_and_was_let_be_is_in_nobody_s_way(): void
    {
        $this->carryOut();
        $this->db()->executeStatement("DELETE FROM due_task WHERE kind = 'carryOutSetUp'");
        $this->carryOut();
        $this->work();
        self::assertSame([], $this->list()->list('steps'));
    }

    public function test_an_assistant_sets_up_and_takes_nobody_s_work_away(): void
    {
        $this->carryOut();
        $this->work();
        $this->db()->insert('slot_answer', [
            'copy_id' => $this->copyOf(1),
            'slot' => 'decision',
            'owner' => '00000000-0000-0000-0000-000000000000',
            'text' => 'We build it here.',
            'revision' => 1,
            'author' => $this->lesson->text('floor.groups.1.students.0'),
            'at' => 0,
        ]);
        $this->takeTableAway();
        $assistant = $this->newTeacher('assistant@larkmouth.example');
        $class = $this->em()->find(SchoolClass::class, $this->lesson->text('classId'));
        self::assertNotNull($class);
        $this->em()->persist(new ClassStaff($class, $assistant, StaffRole::Assistant));
        $this->em()->flush();
        $this->asTeacher($assistant);
        $list = $this->list();
        $sure = array_values(
            array_filter(
                array_map(
                    static fn (mixed $step): mixed => \is_array($step) && null !== $step['loses']
                        ? $step['key']
                        : null,
                    $list->list('steps'),
                ),
                is_string(...),
            ),
        );
        self::assertCount(1, $sure);
        $this->ask('POST', $this->round('set-up'), ['digest' => $list->text('digest'), 'sure' => $sure])->is(403);
        $list = $this->list();
        $this->ask('POST', $this->round('set-up'), ['digest' => $list->text('digest')])->is(204);
        $this->work();
        self::assertSame(2, $this->rows('work_copy'));
    }

    public function test_a_table_taken_away_lets_go_of_its_room_and_its_empty_copy(): void
    {
        $this->carryOut();
        $this->work();
        $this->takeTableAway();
        $list = $this->list();
        self::assertContains('Delete the room “9G · 2 Group 2”', $this->says($list));
        $external = $this->external(2);
        $this->carryOut();
        $this->work();
        self::assertSame([], $this->list()->list('steps'));
        self::assertSame([], Outside::rooms([$external]));
        self::assertSame(1, $this->rows('work_copy'));
    }

    public function test_what_would_be_lost_is_asked_first_with_what_is_in_it(): void
    {
        $this->carryOut();
        $this->work();
        $student = $this->lesson->text('floor.groups.1.students.0');
        $copy = $this->copyOf(1);
        $this->db()->insert('slot_answer', [
            'copy_id' => $copy,
            'slot' => 'decision',
            'owner' => '00000000-0000-0000-0000-000000000000',
            'text' => 'We build it here.',
            'revision' => 1,
            'author' => $student,
            'at' => 0,
        ]);
        Outside::record($this->external(2));
        $this->takeTableAway();

        $list = $this->list();
        $asked = [];
        foreach (array_keys($list->list('steps')) as $i) {
            if (null !== $list->at("steps.{$i}.loses")) {
                $asked[$list->text("steps.{$i}.loses")] = $list->text("steps.{$i}.key");
            }
        }
        self::assertSame(
            ['There is a recording of it.', '1 answer in it would be lost.'],
            array_map(
                static fn (string $one): string => str_replace('1 place', 'one place', $one),
                array_keys($asked),
            ),
        );
        $this->carryOut();
        $this->work();
        self::assertSame(2, $this->rows('work_copy'), 'nothing of it went by the one press');
        $this->ask('POST', $this->round('set-up'), [
            'digest' => $this->list()->text('digest'),
            'sure' => array_values($asked),
        ])->is(204);
        $this->work();
        self::assertSame(1, $this->rows('work_copy'));
        self::assertSame([], $this->list()->list('steps'));
    }

    public function test_a_room_is_called_as_its_group_unless_somebody_has_named_it(): void
    {
        $this->carryOut();
        $this->work();
        $group = $this->lesson->text('floor.groups.0.id');
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => 'rename',
            'group' => $group,
            'name' => 'Otters',
            'basedOn' => $this->again()->int('floor.step'),
        ])->is(200);
        self::assertContains('Rename “9G · 1 Group 1” to “9G · 1 Otters”', $this->says($this->list()));
        $room = $this->db()->fetchOne('SELECT id FROM room WHERE group_id = ?', [$group]);
        self::assertIsString($room);
        $this->ask('PATCH', "/api/staff/rooms/{$room}", ['name' => 'The attic'])->is(204);
        self::assertSame(
            [],
            array_filter($this->says($this->list()), static fn (string $says): bool => str_contains($says, 'attic')),
        );
    }

    public function test_a_service_that_has_trouble_is_tried_again_and_what_fails_for_good_has_its_reason_while_the_rest_goes_on(): void
    {
        self::mockTime();
        Outside::fault('meeting', 'fail', 1);
        $this->carryOut();
        $this->workThrough();
        self::assertSame([], $this->list()->list('steps'), 'once is nothing');

        $this->takeTableAway();
        $this->addTable();
        Outside::fault('meeting', 'refuse', 100, 'make');
        $this->carryOut();
        $this->workThrough();
        $lesson = $this->again();
        self::assertFalse($lesson->at('setUp.running'));
        self::assertSame('The meeting service refused the request (403).', $lesson->text('setUp.failed.0.why'));
        self::assertSame(2, $this->rows('work_copy'), 'the copies went on');
        Outside::behave();
        $this->ask('POST', '/api/staff/set-ups/'.$lesson->text('setUp.id').'/again', [
            'position' => $lesson->int('setUp.failed.0.position'),
        ])->is(204);
        $this->workThrough();
        self::assertNull($this->again()->at('setUp'));
        self::assertSame([], $this->list()->list('steps'));
    }

    public function test_a_service_that_says_made_and_has_nothing_is_not_believed(): void
    {
        self::mockTime();
        Outside::fault('meeting', 'pretend', 2);
        $this->carryOut();
        $this->workThrough();
        self::assertSame([], $this->list()->list('steps'));
        $externals = array_map(fn (int $n): string => $this->external($n), [0, 1, 2]);
        self::assertCount(3, Outside::rooms($externals));
    }

    public function test_a_service_that_is_slow_or_forgetful_in_the_middle_of_it_is_asked_again(): void
    {
        self::mockTime();
        Outside::fault('meeting', 'slow', 1, 'make');
        $this->carryOut();
        $this->workThrough();
        self::assertSame([], $this->list()->list('steps'));
        $this->swap();
        $before = $this->external(1);
        Outside::fault('meeting', 'forget', 1, 'members');
        $this->carryOut();
        $this->workThrough();
        self::assertSame([], $this->list()->list('steps'));
        self::assertNotSame(
            $before,
            $this->external(1),
            'it was gone when its members were to be said, and was made again',
        );
        self::assertCount(3, Outside::rooms(array_map(fn (int $n): string => $this->external($n), [0, 1, 2])));
    }

    public function test_the_whole_set_up_goes_to_other_programs(): void
    {
        $this->ask('PATCH', '/api/staff/students/'.$this->lesson->text('floor.groups.0.students.0'), [
            'name' => '=HYPERLINK("x")',
        ])->is(204);
        $this->ask('PUT', $this->round('links'), [
            'text' => "main https://meet.larkmouth.example/{$this->lesson->text(
                'id',
            )}\nhttps://meet.larkmouth.example/1{$this->lesson->text(
                'id',
            )}\nhttps://meet.larkmouth.example/2{$this->lesson->text('id')}",
        ])->is(200);
        $this->carryOut();
        $this->work();
        $json = $this->ask('GET', $this->round('set-up.json'))->is(200);
        self::assertTrue(Schema::allows('set-up', $json->raw));
        self::assertCount(3, $json->list('groups.0.students'));
        self::assertStringStartsWith('https://meet.larkmouth.example/1', $json->text('groups.0.room.link'));
        self::assertSame('District sheet', $json->text('groups.1.work.0.title'));
        $lines = explode("\r\n", trim($this->ask('GET', $this->round('set-up.csv'))->is(200)->raw));
        self::assertCount(7, $lines);
        self::assertStringContainsString("'=HYPERLINK", $lines[1], 'nothing a spreadsheet would run');
        self::assertStringNotContainsString(
            'pass=',
            implode('', $lines),
            'whoever has a code comes in as its student',
        );
        self::assertStringNotContainsString('pass', $json->raw);
        foreach (['csv', 'json'] as $format) {
            self::assertStringContainsString(
                '/student?pass=',
                $this->ask('GET', $this->round("set-up.{$format}?codes=1"))->is(200)->raw,
            );
        }
    }

    public function test_a_room_the_service_forgot_is_found_and_made_again(): void
    {
        $this->carryOut();
        $this->work();
        $before = $this->external(1);
        Outside::forget($before);
        $this->ask('POST', $this->round('look'))->is(204);
        self::assertContains('roomLost', array_column($this->again()->list('findings'), 'check'));
        $this->carryOut();
        $this->work();
        self::assertNotSame($before, $this->external(1));
        self::assertSame([], $this->again()->list('findings'));
    }

    public function test_an_error_after_it_was_done_doubles_nothing(): void
    {
        self::mockTime();
        $this->ask('PUT', $this->round('sending'), ['posts' => true])->is(200);
        Outside::fault('meeting', 'late', 2);
        Outside::fault('portal', 'late', 2, 'post');
        $this->carryOut();
        $this->workThrough();
        self::assertCount(2, $this->posts());
        self::assertSame([], $this->list()->list('steps'));
    }

    public function test_a_post_reaches_just_its_group_with_its_unit_its_time_and_whether_it_counts(): void
    {
        $due = 1_900_000_000_000;
        $this->ask('PUT', $this->round('sending'), [
            'posts' => true,
            'unit' => 'Unit 3: Coasts',
            'dueAt' => $due,
            'counted' => true,
        ])->is(200);
        self::assertSame('Set up 3 rooms, 2 copies and 2 posts', $this->list()->text('press'));
        $this->carryOut();
        $this->work();
        $posts = $this->posts();
        self::assertCount(2, $posts);
        foreach ([0, 1] as $i) {
            $post = array_values(
                array_filter(
                    $posts,
                    fn (Post $one): bool => str_ends_with(
                        $one->title,
                        $this->lesson->text("floor.groups.{$i}.name"),
                    ),
                ),
            )[0];
            self::assertEqualsCanonicalizing($this->lesson->texts("floor.groups.{$i}.students"), $post->audience);
            self::assertSame(['Unit 3: Coasts', $due, true], [$post->unit, $post->dueAt, $post->counted]);
            foreach ($this->again()->list('students') as $student) {
                \assert(\is_array($student) && \is_string($student['name']));
                self::assertStringNotContainsString($student['name'], $post->title.$post->text, 'it names nobody');
            }
        }
        self::assertSame([], $this->again()->list('findings'));

        $this->swap();
        $finding = $this->again();
        self::assertSame('postAudience', $finding->text('findings.0.check'));
        self::assertSame('Set up 4 changes', $finding->text('findings.0.press'));
        $ids = array_keys($posts);
        $this->carryOut();
        $this->work();
        self::assertSame($ids, array_keys($this->posts()), 'changed, not posted again');
        self::assertSame([], $this->again()->list('findings'));

        $this->ask('PUT', $this->round('sending'), ['posts' => false])->is(200);
        self::assertSame(['Delete the post for Group 1', 'Delete the post for Group 2'], $this->says($this->list()));
        $this->carryOut();
        $this->work();
        self::assertSame([], $this->posts());
    }

    public function test_what_is_sent_is_carried_over_to_the_next_lesson_with_its_due_time_as_long_after_it(): void
    {
        $starts = $this->lesson->int('startsAt');
        $this->ask('PUT', $this->round('sending'), [
            'posts' => true,
            'unit' => 'Unit 3',
            'dueAt' => $starts + 86_400_000,
            'counted' => true,
        ])->is(200);
        $class = $this->ask('POST', '/api/staff/classes', ['name' => '8B', 'names' => "Uma\nVic"])->text('id');
        $next = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'The same again',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
            'startsAt' => $starts + 7 * 86_400_000,
        ])->is(200);
        $sending = $this->ask('GET', '/api/staff/rounds/'.$next->text('round.id').'/sending')->is(200);
        self::assertSame(
            [true, 'Unit 3', true, $starts + 8 * 86_400_000],
            [$sending->at('posts'), $sending->text('unit'), $sending->at('counted'), $sending->int('dueAt')],
        );
        self::assertSame(0, $sending->int('posted'), 'nothing of it has gone out');
    }

    public function test_a_portal_that_loses_things_or_lies_is_found_out(): void
    {
        self::mockTime();
        $this->ask('PUT', $this->round('sending'), ['posts' => true, 'dueAt' => 1_900_000_000_000])->is(200);
        Outside::fault('portal', 'pretend', 1, 'post');
        $this->carryOut();
        $this->workThrough();
        self::assertCount(2, $this->posts(), 'what was only pretended was posted again');
        $id = (string) array_key_first($this->posts());
        $post = $this->posts()[$id];
        $this->service(CoursePortal::class)->change(
            $id,
            new Post($post->title, $post->text, $post->audience, $post->unit, null, $post->counted, $post->link),
        );
        $this->ask('POST', $this->round('look'))->is(204);
        self::assertContains('dueTimeLost', array_column($this->again()->list('findings'), 'check'));
        $this->carryOut();
        $this->workThrough();
        self::assertSame(1_900_000_000_000, $this->posts()[$id]->dueAt);
        Outside::fault('portal', 'lie', 100);
        $this->swap();
        $this->carryOut();
        $this->workThrough();
        self::assertStringContainsString('we can’t read', $this->again()->text('setUp.failed.0.why'));
        self::assertStringNotContainsString('<script', (string) json_encode($this->again()->at('setUp')));
    }

    public function test_each_student_with_an_address_is_written_once_in_their_direction(): void
    {
        $students = $this->lesson->list('students');
        $own = Uuid::v4()->toRfc4122().'@larkmouth.example';
        foreach ([[$own, 'Arabic'], ['x@refuses.example', 'Polish']] as $i => [$address, $language]) {
            \assert(\is_array($students[$i]) && \is_string($students[$i]['id']));
            $this->ask('PATCH', "/api/staff/students/{$students[$i]['id']}", [
                'email' => $address,
                'attributes' => [['name' => 'Home language', 'value' => $language]],
            ])->is(204);
        }
        self::assertSame(
            422,
            $this->ask('PATCH', '/api/staff/students/'.$this->lesson->text('students.2.id'), ['email' => 'nobody'])
                ->status,
        );
        $this->ask('PUT', $this->round('sending'), ['letters' => true, 'zone' => 'Europe/Berlin'])->is(200);
        self::assertSame('Set up 3 rooms, 2 copies and 2 emails', $this->list()->text('press'));
        $this->carryOut();
        self::getContainer()->set('mailer.mailer', new Mailer(Transport::fromDsn(Outside::setting('MAILER_DSN'))));
        $this->work();
        $letters = Outside::mail($own);
        self::assertCount(1, $letters);
        $letter = $letters[0];
        self::assertStringContainsString('<html dir="rtl">', $letter['html']);
        self::assertStringContainsString('/student?pass=', $letter['text']);
        self::assertStringContainsString('(Europe/Berlin)', $letter['text']);
        foreach (\array_slice($students, 1) as $other) {
            \assert(\is_array($other) && \is_string($other['name']));
            self::assertStringNotContainsString(
                $other['name'],
                $letter['text'].$letter['html'],
                'nothing of anybody else',
            );
        }
        self::assertSame(
            ['x@refuses.example was refused.'],
            array_column($this->again()->list('setUp.failed'), 'why'),
        );
        self::assertSame('letterReturned', $this->again()->text('findings.0.check'));
        self::assertSame(
            [],
            $this->list()->list('steps'),
            'who was written is not written again, and who refuses is left alone',
        );

        // One that comes back later is told by a signed call; forged, for another, too old: nothing.
        $body = static fn (string $message, int $at): string => (string) json_encode([
            'message' => $message,
            'address' => $own,
            'why' => 'No such mailbox.',
            'at' => $at,
        ]);
        $now = (int) (microtime(true) * 1_000);
        $hook = fn (string $text, ?string $secret = null): int => $this->ask('POST', '/hooks/mail', $text, [
            'X-Huddle-Signature' => hash_hmac('sha256', $text, $secret ?? Outside::setting('MAIL_HOOK_SECRET')),
        ])->status;
        self::assertSame(403, $hook($body($letter['messageId'], $now), 'guessed'));
        self::assertSame(422, $hook($body('<somebody@else.example>', $now)));
        self::assertSame(422, $hook($body($letter['messageId'], $now - 30 * 86_400_000)));
        self::assertSame(204, $hook(str_replace($own, 'other@a.example', $body($letter['messageId'], $now))));
        self::assertSame(1, $this->ask('GET', $this->round('sending'))->int('written'));
        self::assertSame(204, $hook($body($letter['messageId'], $now)));
        self::assertSame(204, $hook($body($letter['messageId'], $now)), 'said twice');
        $sending = $this->ask('GET', $this->round('sending'));
        self::assertSame(0, $sending->int('written'));
        self::assertCount(2, $sending->list('back'));
    }

    private function carryOut(): void
    {
        $this->ask('POST', $this->round('set-up'), ['digest' => $this->list()->text('digest')])->is(204);
    }

    /** What is tried again later comes about too. */
    private function workThrough(): void
    {
        for ($i = 0; $i < 8; ++$i) {
            $this->work();
            self::mockTime('+10 seconds');
        }
    }

    private function list(): Json
    {
        return $this->ask('GET', $this->round('set-up'))->is(200);
    }

    private function again(): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function round(string $what): string
    {
        return '/api/staff/rounds/'.$this->lesson->text('round.id').'/'.$what;
    }

    private function edit(string $kind, string $key, string $value): void
    {
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => $kind,
            $key => $value,
            'basedOn' => $this->again()->int('floor.step'),
        ])->is(200);
    }

    private function swap(): void
    {
        $now = $this->again();
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => 'swap',
            'student' => $now->text('floor.groups.0.students.0'),
            'other' => $now->text('floor.groups.1.students.0'),
            'basedOn' => $now->int('floor.step'),
        ])->is(200);
        // as if nobody had come to it yet
        $this->db()->executeStatement("DELETE FROM due_task WHERE kind = 'roomMembers'");
    }

    private function takeTableAway(): void
    {
        foreach ($this->again()->texts('floor.groups.1.students') as $student) {
            $this->edit('shelve', 'student', $student);
        }
        $this->edit('removeTable', 'group', $this->again()->text('floor.groups.1.id'));
        $this->db()->executeStatement("DELETE FROM due_task WHERE kind = 'roomMembers'");
    }

    private function addTable(): void
    {
        $now = $this->again();
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => 'addTable',
            'basedOn' => $now->int('floor.step'),
        ])->is(200);
    }

    /**
     * @return list<string>
     */
    private function says(Json $list): array
    {
        return array_map(
            static fn (int $i): string => $list->text("steps.{$i}.says"),
            array_keys($list->list('steps')),
        );
    }

    private function rows(string $table): int
    {
        $count = $this->db()->fetchOne("SELECT COUNT(*) FROM {$table}");

        return is_numeric($count) ? (int) $count : -1;
    }

    private function copyOf(int $group): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM work_copy WHERE group_id = ?', [
            $this->lesson->text("floor.groups.{$group}.id"),
        ]);

        return \is_string($id) ? $id : self::fail('no copy');
    }

    /**
     * @param int $n 0: the main session
     *
     * @return string what the service calls it
     */
    private function external(int $n): string
    {
        $id =
            0 === $n
                ? $this->db()->fetchOne("SELECT external_id FROM room WHERE purpose = 'main'")
                : $this->db()->fetchOne('SELECT external_id FROM room WHERE group_id = ?', [
                    $this->lesson->text('floor.groups.'.($n - 1).'.id'),
                ]);

        return \is_string($id) ? $id : self::fail('no room');
    }

    /**
     * @return array<string, Post>
     */
    private function posts(): array
    {
        return $this->service(CoursePortal::class)->posts($this->lesson->text('classId'));
    }
}
