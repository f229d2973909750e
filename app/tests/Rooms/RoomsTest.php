<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms;

use FreshHuddle\App\Rooms\Meeting\StandinMeetingService;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\HttpClient\HttpClient;

/**
 * Rooms made in the stand-in meeting service over real HTTP, behaving and misbehaving.
 */
final class RoomsTest extends AppTestCase
{
    use ClockSensitiveTrait;

    protected function tearDown(): void
    {
        $this->misbehave('fail', 0);
        parent::tearDown();
    }

    public function test_one_room_a_group_and_the_main_session_each_with_its_own_link_for_each_member(): void
    {
        $lesson = $this->made();
        self::assertSame(['made', 'made', 'made'], $this->states($lesson));
        $passes = $this->db()->fetchFirstColumn(
            'SELECT DISTINCT p.link FROM room_member p JOIN room r ON r.id = p.room_id WHERE r.class_id = ?',
            [$lesson->text('classId')],
        );
        self::assertCount(12, $passes, 'all different: six in the main session, three in each room');
    }

    public function test_whoever_teaches_or_helps_goes_into_any_room_in_one_press(): void
    {
        $lesson = $this->made();
        foreach ([0, 1, 2] as $i) {
            $this->ask('GET', '/api/staff/rooms/'.$lesson->text("rooms.{$i}.id").'/way')->is(302);
            self::assertStringContainsString('/in/', (string) $this->client->getResponse()->headers->get('Location'));
        }
        // Somebody who helps since a moment ago, for whom no room was made.
        $helper = $this->newTeacher('otto@larkmouth.example');
        $this->asTeacher($helper);
        $this->ask('GET', '/api/staff/rooms/'.$lesson->text('rooms.1.id').'/way')->is(404);
        $this->db()->insert('class_staff', [
            'class_id' => $lesson->text('classId'),
            'teacher_id' => $helper->id,
            'role' => 'assistant',
        ]);
        $this->ask('GET', '/api/staff/rooms/'.$lesson->text('rooms.1.id').'/way')->is(302);
        $this->asNobody();
        $this->ask('GET', '/api/staff/rooms/'.$lesson->text('rooms.1.id').'/way')->is(401);
    }

    public function test_pressed_twice_rooms_are_made_once(): void
    {
        $lesson = $this->readyLesson();
        $this->make($lesson);
        $this->make($lesson);
        $this->work();
        $before = $this->db()->fetchFirstColumn('SELECT external_id FROM room ORDER BY id');
        $this->make($lesson);
        $this->work();
        self::assertSame($before, $this->db()->fetchFirstColumn('SELECT external_id FROM room ORDER BY id'));
    }

    public function test_a_service_in_trouble_is_asked_again_and_then_the_reason_is_shown(): void
    {
        self::mockTime();
        $lesson = $this->readyLesson(4, 1);
        $this->misbehave('fail', 1_000);
        $this->make($lesson);
        for ($i = 0; $i < 6; ++$i) {
            $this->work();
            self::mockTime('+20 seconds');
        }
        self::assertSame(['failed', 'failed'], $this->states($lesson));
        self::assertStringContainsString('having problems', $this->again($lesson)->text('rooms.0.failure'));
        $this->misbehave('fail', 0);
        $this->make($lesson);
        $this->work();
        self::assertSame(['made', 'made'], $this->states($lesson));
        self::assertNull($this->again($lesson)->at('rooms.0.failure'));
    }

    public function test_one_passing_failure_is_not_even_noticed(): void
    {
        self::mockTime();
        $lesson = $this->readyLesson(4, 1);
        $this->misbehave('fail', 1);
        $this->make($lesson);
        $this->work();
        self::mockTime('+20 seconds');
        $this->work();
        self::assertSame(['made', 'made'], $this->states($lesson));
    }

    public function test_a_refusal_is_not_tried_again_by_itself_but_by_one_press(): void
    {
        $lesson = $this->readyLesson(4, 1);
        $this->misbehave('refuse', 2);
        $this->make($lesson);
        $this->work();
        self::assertSame(['failed', 'failed'], $this->states($lesson));
        $this->ask('POST', '/api/staff/rooms/'.$this->again($lesson)->text('rooms.1.id').'/retry')->is(204);
        $this->work();
        self::assertSame(['failed', 'made'], $this->states($lesson));
    }

    public function test_a_lying_service_is_not_believed(): void
    {
        self::mockTime();
        $lesson = $this->readyLesson(4, 1);
        $this->misbehave('lie', 1_000);
        $this->make($lesson);
        for ($i = 0; $i < 6; ++$i) {
            $this->work();
            self::mockTime('+20 seconds');
        }
        self::assertSame(['failed', 'failed'], $this->states($lesson));
        self::assertStringContainsString('we can’t read', $this->again($lesson)->text('rooms.0.failure'));
    }

    public function test_who_changes_seats_may_enter_the_new_room_and_not_the_old_one(): void
    {
        $lesson = $this->made();
        $student = $lesson->text('floor.groups.0.students.0');
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/edits', [
            'basedOn' => 1,
            'kind' => 'seat',
            'student' => $student,
            'group' => $lesson->text('floor.groups.1.id'),
        ])->is(200);
        $this->work();
        self::assertSame(
            [$lesson->text('floor.groups.1.id')],
            $this->db()->fetchFirstColumn(
                'SELECT r.group_id FROM room_member p JOIN room r ON r.id = p.room_id WHERE p.student_id = ?
                    AND r.group_id IS NOT NULL',
                [$student],
            ),
        );
    }

    public function test_rooms_that_live_for_a_round_close_after_it_and_open_again_by_the_same_links(): void
    {
        self::mockTime();
        $lesson = $this->made();
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->ask('PUT', '/api/staff/classes/'.$lesson->text('classId').'/room-source', ['life' => 'round'])->is(
            200,
        );
        $links = $this->db()->fetchFirstColumn('SELECT link FROM room_member ORDER BY link');
        foreach ([1, 2] as $time) {
            $this->command($lesson->text('id'), 'sendOut')->is(200);
            $this->work();
            self::assertSame(['made', 'made', 'made'], $this->states($lesson), "open in round {$time}");
            $this->command($lesson->text('id'), 'callBack', seconds: 0)->is(200);
            $this->work();
            self::assertSame(['made', 'made', 'made'], $this->states($lesson), 'there is time to leave');
            self::mockTime('+40 seconds');
            $this->work();
            self::assertSame(['made', 'closed', 'closed'], $this->states($lesson), 'the main session stays');
        }
        self::assertSame($links, $this->db()->fetchFirstColumn('SELECT link FROM room_member ORDER BY link'));
    }

    public function test_a_room_allows_what_the_class_does_unless_it_says_something_else_of_its_own(): void
    {
        $lesson = $this->made();
        $class = $lesson->text('classId');
        $own = $lesson->text('rooms.1.id');
        self::assertSame([['share', 'write'], ['share', 'write'], ['share', 'write']], $this->allowed($lesson));
        $this->ask('PATCH', "/api/staff/rooms/{$own}", ['allowed' => ['mayRecord' => true, 'mayWrite' => false]])->is(
            204,
        );
        $this->work();
        self::assertSame([['share', 'write'], ['record', 'share'], ['share', 'write']], $this->allowed($lesson));
        $again = $this->again($lesson);
        self::assertSame(
            [true, null, false],
            [$again->at('rooms.1.mayRecord'), $again->at('rooms.1.mayShareScreen'), $again->at('rooms.1.mayWrite')],
        );
        $this->ask('PUT', "/api/staff/classes/{$class}/room-source", [
            'mayShareScreen' => false,
            'mayWrite' => false,
        ])->is(200);
        $this->work();
        self::assertSame(
            [[], ['record'], []],
            $this->allowed($lesson),
            'the class changes all rooms but in what one has said itself',
        );
        $this->ask('PATCH', "/api/staff/rooms/{$own}", ['name' => 'The quiet corner'])->is(204);
        $this->work();
        self::assertSame([[], ['record'], []], $this->allowed($lesson), 'another name changes nothing of it');
        $this->ask('PATCH', "/api/staff/rooms/{$own}", ['allowed' => []])->is(204);
        $this->work();
        self::assertSame([[], [], []], $this->allowed($lesson), 'and takes it back');
        $this->ask('PATCH', "/api/staff/rooms/{$own}", ['allowed' => ['mayRecord' => 'loud']])->is(422);
    }

    public function test_there_are_no_rooms_without_groups(): void
    {
        $lesson = $this->newLesson();
        $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/rooms')->is(422);
    }

    public function test_a_callback_counts_only_when_signed_fresh_and_newer(): void
    {
        $lesson = $this->made();
        $student = $lesson->text('floor.groups.0.students.0');
        $room = $this->db()->fetchOne('SELECT external_id FROM room WHERE group_id = ?', [
            $lesson->text('floor.groups.0.id'),
        ]);
        $now = (int) (microtime(true) * 1000);
        $this->hook(['person' => $student, 'room' => $room, 'at' => $now], 'wrong secret')->is(403);
        $this->hook(['person' => $student, 'room' => $room, 'at' => $now - 400_000])->is(422);
        $this->hook(['person' => 'x', 'room' => $room, 'at' => $now])->is(422);
        $this->hook(['person' => $student, 'room' => $room, 'at' => $now])->is(204);
        self::assertSame($lesson->text('floor.groups.0.id'), $this->seenIn($student));
        $this->hook(['person' => $student, 'room' => null, 'at' => $now - 1_000])->is(204);
        self::assertSame(
            $lesson->text('floor.groups.0.id'),
            $this->seenIn($student),
            'an older word does not undo a newer one',
        );
        $this->hook(['person' => $student, 'room' => null, 'at' => $now + 1_000])->is(204);
        self::assertNull($this->seenIn($student));
    }

    public function test_a_callback_from_the_future_pins_nothing_and_a_room_nobody_knows_says_nothing(): void
    {
        $lesson = $this->made();
        $student = $lesson->text('floor.groups.0.students.0');
        $room = $this->db()->fetchOne('SELECT external_id FROM room WHERE group_id = ?', [
            $lesson->text('floor.groups.0.id'),
        ]);
        $now = (int) (microtime(true) * 1000);
        $this->hook(['person' => $student, 'room' => $room, 'at' => $now + 60_000])->is(422);
        $this->hook(['person' => $student, 'room' => $room, 'at' => $now + 4_000])->is(204);
        self::assertLessThanOrEqual(
            (int) (microtime(true) * 1000),
            $this->db()->fetchOne('SELECT service_at FROM presence WHERE student_id = ?', [$student]),
            'what they saw is never later than now',
        );
        $this->hook(['person' => $student, 'room' => 'mnosuchroom', 'at' => $now + 4_500])->is(204);
        self::assertSame(
            $lesson->text('floor.groups.0.id'),
            $this->seenIn($student),
            'it is not taken for having left',
        );
        $this->hook(['person' => $student."\n", 'room' => null, 'at' => $now])->is(422);
        $this->hook(['person' => $student, 'room' => "m\u{0}x", 'at' => $now])->is(422);
    }

    private function seenIn(string $student): mixed
    {
        return $this->db()->fetchOne('SELECT service_place FROM presence WHERE student_id = ?', [$student]);
    }

    /**
     * @param array<string, mixed> $said
     */
    private function hook(array $said, ?string $secret = null): Json
    {
        $body = json_encode($said, \JSON_THROW_ON_ERROR);
        $secret ??= self::setting('MEETING_HOOK_SECRET');

        return $this->ask('POST', '/hooks/meeting', $body, [
            'X-Huddle-Signature' => hash_hmac('sha256', $body, $secret),
        ]);
    }

    private function made(): Json
    {
        $lesson = $this->readyLesson();
        $this->make($lesson);
        $this->work();

        return $this->again($lesson);
    }

    private function make(Json $lesson): void
    {
        $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/rooms')->is(200);
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->is(200);
    }

    /**
     * @return list<string>
     */
    private function states(Json $lesson): array
    {
        $now = $this->again($lesson);

        return array_map(
            static fn (int $i): string => $now->text("rooms.{$i}.state"),
            array_keys($now->list('rooms')),
        );
    }

    private function misbehave(string $kind, int $times): void
    {
        $answer = HttpClient::create()->request('POST', self::setting('MEETING_URL').'/control/faults', [
            'json' => ['kind' => $kind, 'times' => $times],
            'auth_bearer' => self::setting('MEETING_TOKEN'),
        ]);
        self::assertSame(200, $answer->getStatusCode());
    }

    private static function setting(string $name): string
    {
        $value = $_ENV[$name] ?? null;
        self::assertIsString($value);

        return $value;
    }

    /**
     * @return list<list<string>> what the service was told to allow, a room after the other
     */
    private function allowed(Json $lesson): array
    {
        $service = $this->service(StandinMeetingService::class);
        $allowed = [];
        foreach ([0, 1, 2] as $i) {
            $room = $this->db()->fetchOne('SELECT external_id FROM room WHERE id = ?', [
                $lesson->text("rooms.{$i}.id"),
            ]);
            \assert(\is_string($room));
            $may = $service->states([$room])[$room]->allowed;
            $allowed[] = array_keys(
                array_filter(['record' => $may->record, 'share' => $may->shareScreen, 'write' => $may->write]),
            );
        }

        return $allowed;
    }
}
