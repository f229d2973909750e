<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\Outside;
use Symfony\Component\Uid\Uuid;

/**
 * Who may speak in the main session, and how long everybody has spoken.
 */
final class SpeechTest extends AppTestCase
{
    private Json $lesson;
    /** @var list<string> ids */
    private array $students;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 2);
        $class = $this->lesson->text('classId');
        $this->ask('PUT', "/api/staff/classes/{$class}/room-source", ['kind' => 'ownRooms'])->is(200);
        $this->students = array_map(
            fn (int|string $i): string => $this->lesson->text("students.{$i}.id"),
            array_values(array_map(strval(...), array_keys($this->lesson->list('students')))),
        );
    }

    public function test_everybody_may_speak_until_the_teacher_mutes_the_main_session(): void
    {
        $device = $this->begin();
        self::assertFalse($this->now($device)->at('speaking.muted'));
        $this->askToSpeak($device)->is(409);
        $this->speaking(true)->is(200);
        self::assertSame(['muted' => true, 'given' => false, 'asked' => false], $this->now($device)->at('speaking'));
        $this->speaking(false)->is(200);
        self::assertFalse($this->now($device)->at('speaking.muted'));
    }

    public function test_whoever_asks_first_stands_first_and_one_has_the_microphone(): void
    {
        $ada = $this->begin();
        $ben = $this->join($this->lesson, $this->students[1]);
        $this->speaking(true);
        $this->askToSpeak($ben)->is(200);
        usleep(2_000);
        self::assertTrue($this->askToSpeak($ada)->is(200)->at('speaking.asked'));
        $this->askToSpeak($ada)->is(200);
        self::assertSame([$this->students[1], $this->students[0]], $this->again()->texts('speaking.asking'));
        $given = $this->speaking(true, $this->students[1])->is(200);
        self::assertSame($this->students[1], $given->text('speaker'));
        self::assertSame([$this->students[0]], $given->texts('asking'), 'they ask no more');
        self::assertTrue($this->now($ben)->at('speaking.given'));
        self::assertFalse($this->now($ada)->at('speaking.given'));
        self::assertFalse($this->askToSpeak($ada, false)->at('speaking.asked'));
        $this->speaking(true, $this->students[0]);
        self::assertFalse($this->now($ben)->at('speaking.given'), 'one at a time');
        self::assertTrue($this->now($ada)->at('speaking.given'));
        $this->speaking(false, $this->students[0]);
        self::assertNull($this->again()->at('speaking.speaker'), 'where everybody may speak, nobody has it alone');
    }

    public function test_it_is_over_when_groups_are_sent_out_and_when_the_lesson_ends(): void
    {
        $device = $this->begin();
        $this->speaking(true, $this->students[0]);
        $this->askToSpeak($device)->is(200);
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        self::assertSame(['muted' => false, 'speaker' => null, 'asking' => []], $this->again()->at('speaking'));
        $this->command($this->lesson->text('id'), 'callBack', 0)->is(200);
        $this->speaking(true)->is(200);
        $this->command($this->lesson->text('id'), 'end')->is(200);
        self::assertFalse($this->again()->at('speaking.muted'));
        $this->speaking(true)->is(422);
    }

    public function test_the_microphone_goes_to_nobody_of_another_class_and_no_student_gives_it(): void
    {
        $device = $this->begin();
        $other = $this->readyLesson(2, 1);
        self::assertSame('speaker', $this->speaking(true, $other->text('students.0.id'))->is(422)->text('errors.0.field'));
        $this->speaking(true, 'x')->is(422);
        $this->ask('DELETE', "/api/staff/students/{$this->students[3]}");
        $this->speaking(true, $this->students[3])->is(422);
        $this->asStudent($device);
        $this->ask('PUT', '/api/staff/lessons/'.$this->lesson->text('id').'/speaking', ['muted' => true])->is(401);
        $this->asNobody();
        $this->ask('PUT', '/api/student/speaking', ['asks' => true])->is(401);
    }

    public function test_what_they_say_is_counted_by_place_from_what_the_media_server_hears(): void
    {
        $this->begin();
        [$ada, $ben] = $this->students;
        $main = $this->room('main');
        $now = (int) (microtime(true) * 1_000) - 600_000;
        $this->heard('published', $ada, $main, $now, [['type' => 'video', 'mid' => '0'], ['type' => 'audio', 'mid' => '1']]);
        $this->heard('talking', $ada, $main, $now);
        $this->heard('talking', $ada, $main, $now + 1_000); // said twice
        $this->heard('stopped-talking', $ada, $main, $now + 4_000);
        $this->heard('stopped-talking', $ada, $main, $now + 9_000); // and again
        $this->heard('talking', $ada, $main, $now + 10_000);
        $this->heard('leaving', $ada, $main, $now + 12_500); // in the middle of a sentence
        self::assertSame(['main' => 6_500], $this->spoken($ada));

        $group = $this->room($this->lesson->text('floor.groups.0.id'));
        $this->heard('published', $ada, $group, $now + 20_000, [['type' => 'audio', 'mid' => '0']]);
        $this->heard('stopped-talking', $ada, $main, $now + 21_000);
        $this->heard('talking', $ada, $group, $now + 22_000);
        $this->heard('stopped-talking', $ada, $group, $now + 23_000);
        self::assertSame(
            ['main' => 6_500, $this->lesson->text('floor.groups.0.id') => 1_000],
            $this->spoken($ada),
        );

        $this->heard('published', $ben, $main, $now, [['type' => 'audio', 'mid' => '0']]);
        $this->heard('talking', $ben, $main, $now);
        $this->heard('stopped-talking', $ben, $main, $now + 599_000);
        self::assertSame(['main' => 120_000], $this->spoken($ben), 'nobody speaks for ten minutes without a breath');
    }

    public function test_the_record_says_how_long_everybody_spoke(): void
    {
        $this->begin();
        [$ada, $ben] = $this->students;
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $now = (int) (microtime(true) * 1_000) - 60_000;
        foreach (['main' => 3_000, $this->lesson->text('floor.groups.0.id') => 4_000] as $place => $ms) {
            $room = $this->room($place);
            $this->heard('published', $ada, $room, $now, [['type' => 'audio', 'mid' => '0']]);
            $this->heard('talking', $ada, $room, $now);
            $this->heard('stopped-talking', $ada, $room, $now + $ms);
        }
        $record = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id').'/record')->is(200);
        $spoken = array_column($record->list('students'), 'spokenMs', 'student');
        self::assertSame([7_000, 0], [$spoken[$ada], $spoken[$ben]]);
    }

    public function test_the_teacher_sees_before_the_lesson_who_cannot_be_heard(): void
    {
        $ada = $this->begin();
        $ben = $this->join($this->lesson, $this->students[1]);
        self::assertArrayNotHasKey('microphoneUntried', $this->findings(), 'nobody was asked to yet');
        $this->asStudent($ada);
        $this->ask('PUT', '/api/student/microphone', ['outcome' => 'works'])->is(204);
        self::assertStringContainsString('Student B', $this->findings()['microphoneUntried'] ?? '');
        $this->asStudent($ben);
        $this->ask('PUT', '/api/student/microphone', ['outcome' => 'unreachable'])->is(204);
        $findings = $this->findings();
        self::assertArrayNotHasKey('microphoneUntried', $findings);
        self::assertStringContainsString('Student B', $findings['soundUnreachable'] ?? '');
        $this->asStudent($ben);
        $this->ask('PUT', '/api/student/microphone', ['outcome' => 'works'])->is(204);
        self::assertArrayNotHasKey('soundUnreachable', $this->findings());
        $this->asStudent($ben);
        $this->ask('PUT', '/api/student/microphone', ['outcome' => 'loud'])->is(422);
    }

    public function test_nothing_is_counted_in_another_class_or_of_nobody(): void
    {
        $this->begin();
        [$ada] = $this->students;
        $now = (int) (microtime(true) * 1_000) - 60_000;
        $elsewhere = 'o'.str_repeat('0', 40);
        $this->heard('published', $ada, $elsewhere, $now, [['type' => 'audio', 'mid' => '0']]);
        $this->heard('talking', $ada, $elsewhere, $now);
        $this->heard('stopped-talking', $ada, $elsewhere, $now + 5_000);
        self::assertSame([], $this->spoken($ada));
        $nobody = '01a00000-0000-7000-8000-000000000001';
        foreach (['published', 'talking', 'stopped-talking', 'leaving'] as $what) {
            $this->heard($what, $nobody, $this->room('main'), $now, [['type' => 'audio', 'mid' => '0']]);
        }
        self::assertSame([], $this->spoken($nobody));
    }

    /**
     * @return array<string, string> what they say, by what was found
     */
    private function findings(): array
    {
        $findings = [];
        foreach (array_keys($this->again()->list('findings')) as $i) {
            $findings[$this->again()->text("findings.{$i}.check")] = $this->again()->text("findings.{$i}.says");
        }

        return $findings;
    }

    /**
     * Everybody is in the main session.
     *
     * @return string the device of the first student
     */
    private function begin(): string
    {
        return $this->join($this->lesson, $this->students[0]);
    }

    /**
     * @return string what the media server calls the room of a place, which is there from now on
     */
    private function room(string $place): string
    {
        $known = $this->db()->fetchOne(
            'SELECT external_id FROM room WHERE class_id = ? AND (group_id::text = ? OR purpose = ?)',
            [$this->lesson->text('classId'), $place, $place],
        );
        if (\is_string($known)) {
            return $known;
        }
        $room = $this->service(OwnRooms::class)->roomId($place);
        $isMain = 'main' === $place;
        $this->db()->insert('room', [
            'id' => Uuid::v7()->toRfc4122(),
            'class_id' => $this->lesson->text('classId'),
            'purpose' => $isMain ? 'main' : 'group',
            'grouping_id' => $isMain ? null : $this->lesson->text('floor.id'),
            'group_id' => $isMain ? null : $place,
            'name' => '',
            'state' => 'made',
            'external_id' => $room,
            'source' => 'ownRooms',
            'life' => 'standing',
        ]);

        return $room;
    }

    /**
     * The media server says something.
     *
     * @param list<array<string, string>> $streams
     */
    private function heard(string $what, string $student, string $room, int $at, array $streams = []): void
    {
        $data = ['room' => $room, 'id' => $student, 'streams' => $streams];
        $data[str_ends_with($what, 'talking') ? 'videoroom' : 'event'] = $what;
        $this->client->request(
            'POST',
            '/hooks/media',
            [],
            [],
            ['PHP_AUTH_USER' => 'media', 'PHP_AUTH_PW' => Outside::setting('MEDIA_HOOK_SECRET'), 'CONTENT_TYPE' => 'application/json'],
            json_encode([['timestamp' => $at * 1_000, 'event' => ['data' => $data]]], \JSON_THROW_ON_ERROR),
        );
        self::assertTrue($this->client->getResponse()->isSuccessful());
    }

    /**
     * @return array<array-key, mixed> milliseconds by place
     */
    private function spoken(string $student): array
    {
        return $this->db()->fetchAllKeyValue(
            'SELECT place, milliseconds FROM spoken WHERE student_id = ? ORDER BY place DESC',
            [$student],
        );
    }

    private function speaking(bool $muted, ?string $speaker = null): Json
    {
        $this->asTeacher();

        return $this->ask('PUT', '/api/staff/lessons/'.$this->lesson->text('id').'/speaking', [
            'muted' => $muted,
            'speaker' => $speaker,
        ]);
    }

    private function askToSpeak(string $device, bool $asks = true): Json
    {
        $this->asStudent($device);

        return $this->ask('PUT', '/api/student/speaking', ['asks' => $asks]);
    }

    private function now(string $device): Json
    {
        $this->asStudent($device);

        return $this->ask('GET', '/api/student/now')->is(200);
    }

    private function again(): Json
    {
        $this->asTeacher();

        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }
}
