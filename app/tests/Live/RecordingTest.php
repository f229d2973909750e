<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\Recording\RecordingFiles;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * Rooms of our own are recorded where their class allows it, by its staff alone, and never without saying so.
 */
final class RecordingTest extends AppTestCase
{
    private Json $lesson;
    private string $group;
    private string $device;
    /** In the file store, which tests of other processes use meanwhile. */
    private string $key;

    protected function setUp(): void
    {
        parent::setUp();
        $this->key = 'recording'.bin2hex(random_bytes(8));
        $this->lesson = $this->readyLesson(4, 2);
        $this->source(['kind' => 'ownRooms', 'recordingDays' => 7])->is(200);
        $this->group = $this->lesson->text('floor.groups.0.id');
        $this->device = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->asTeacher();
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        foreach (['main', $this->group] as $place) {
            $this->ask('POST', $this->address($place, 'enter'))->is(200);
        }
    }

    public function test_a_class_records_nothing_until_it_says_for_how_many_days(): void
    {
        $this->source(['recordingDays' => 0])->is(200);
        self::assertSame(0, $this->all()->int('days'));
        $this->record(true)->is(422);
        $this->source(['recordingDays' => 61])->is(422);
        $this->source(['recordingDays' => -1])->is(422);
        $this->source(['recordingDays' => 60])->is(200);
        $this->record(true)->is(200);
    }

    public function test_whoever_comes_in_is_told_that_the_room_is_recorded(): void
    {
        self::assertFalse($this->ticket()->at('recorded'));
        $this->record(true)->is(200);
        self::assertTrue($this->ticket()->at('recorded'));
        $this->asTeacher();
        self::assertTrue($this->ask('POST', $this->address($this->group, 'enter'))->at('recorded'));
        self::assertFalse($this->ask('POST', $this->address('main', 'enter'))->at('recorded'), 'another room');
        $this->record(false)->is(200);
        self::assertFalse($this->ticket()->at('recorded'));
    }

    public function test_pressed_twice_it_is_one_recording_and_it_is_kept_for_its_days(): void
    {
        $this->record(true)->is(200);
        self::assertCount(1, $this->record(true)->is(200)->list('recordings'));
        $this->record(false)->is(200);
        $ended = $this->record(false)->is(200);
        self::assertCount(1, $ended->list('recordings'));
        self::assertSame(7 * 86_400_000, $ended->int('recordings.0.expiresAt') - $ended->int('recordings.0.endedAt'));
        self::assertSame('making', $ended->text('recordings.0.state'));
        $this->work();
        self::assertSame('silent', $this->all()->text('recordings.0.state'), 'nobody was there');
        $this->record(true)->is(200);
        self::assertCount(2, $this->all()->list('recordings'));
    }

    public function test_it_ends_with_its_part_of_the_lesson(): void
    {
        $this->record(true)->is(200);
        $this->command($this->lesson->text('id'), 'callBack', 0)->is(200);
        $this->command($this->lesson->text('id'), 'end')->is(200);
        self::assertNotSame('running', $this->all()->text('recordings.0.state'));
        $this->record(true)->is(422);
    }

    public function test_it_ends_when_its_class_records_nothing_any_more(): void
    {
        $this->record(true)->is(200);
        $this->source(['recordingDays' => 9])->is(200);
        self::assertSame('running', $this->all()->text('recordings.0.state'));
        $this->source(['recordingDays' => 0])->is(200);
        self::assertSame('making', $this->all()->text('recordings.0.state'));
        self::assertFalse($this->ticket()->at('recorded'));
    }

    public function test_an_assistant_begins_and_hears_it_but_does_not_throw_it_away(): void
    {
        $recording = $this->ready();
        self::assertTrue($this->all()->at('mayDelete'));
        $helper = $this->newTeacher('otto@larkmouth.example');
        $this->db()->insert('class_staff', [
            'class_id' => $this->lesson->text('classId'),
            'teacher_id' => $helper->id,
            'role' => 'assistant',
        ]);
        $this->asTeacher($helper);
        $this->ask('PUT', $this->address($this->group, 'recording'), ['on' => true])->is(200);
        self::assertFalse($this->ask('GET', $this->recordings())->is(200)->at('mayDelete'));
        $this->ask('DELETE', "/api/staff/recordings/{$recording}")->is(403);
        self::assertSame('some sound', $this->sound($recording)->is(200)->raw);
    }

    public function test_its_bytes_go_even_when_the_file_store_is_away_at_first(): void
    {
        $recording = $this->ready();
        $files = $_ENV['FILES'] ?? '';
        self::assertIsString($files);
        $path = substr($files, \strlen('disk:'))."/re/{$this->key}";
        self::assertTrue(unlink($path));
        // What cannot be let go: a folder where the file was.
        mkdir($path);
        $this->ask('DELETE', "/api/staff/recordings/{$recording}")->is(204);
        self::assertSame([], $this->all()->list('recordings'));
        $this->work();
        rmdir($path);
        $this->service(FileStore::class)->put($this->key, 'some sound');
        $this->db()->executeStatement("UPDATE due_task SET due_at = 0 WHERE kind = 'dropRecording'");
        $this->assertGone();
    }

    public function test_it_is_for_the_staff_of_the_class_alone(): void
    {
        $recording = $this->ready();
        self::assertSame('some sound', $this->sound($recording)->is(200)->raw);
        $this->asStudent($this->device);
        foreach (['PUT', 'GET'] as $method) {
            $path = 'PUT' === $method ? $this->address($this->group, 'recording') : $this->recordings();
            $this->ask($method, $path, 'PUT' === $method ? ['on' => true] : null)->is(401);
        }
        $this->sound($recording)->is(401);
        $this->asTeacher($this->newTeacher('someone@else.example'));
        $this->sound($recording)->is(404);
        $this->ask('DELETE', "/api/staff/recordings/{$recording}")->is(404);
        $this->ask('PUT', $this->address($this->group, 'recording'), ['on' => true])->is(404);
        $this->asTeacher();
        $this->sound('01a00000-0000-7000-8000-000000000001')->is(404);
    }

    public function test_whoever_throws_it_away_has_it_gone_bytes_and_all(): void
    {
        $recording = $this->ready();
        $this->ask('DELETE', "/api/staff/recordings/{$recording}")->is(204);
        self::assertSame([], $this->all()->list('recordings'));
        $this->record(true)->is(200);
        $running = $this->all()->text('recordings.0.id');
        $this->ask('DELETE', "/api/staff/recordings/{$running}")->is(409);
        $this->assertGone();
    }

    public function test_it_is_gone_when_its_days_are_over(): void
    {
        $recording = $this->ready();
        $this->service(RecordingFiles::class)->forgetOld();
        $this->sound($recording)->is(200);
        $this->db()->update('recording', ['expires_at' => 1], ['id' => $recording]);
        $this->service(RecordingFiles::class)->forgetOld();
        $this->sound($recording)->is(404);
        $this->assertGone();
    }

    public function test_a_room_that_is_nobodys_or_elsewhere_is_not_recorded(): void
    {
        $other = $this->readyLesson(2, 1);
        $this->ask('PUT', $this->address($other->text('floor.groups.0.id'), 'recording'), ['on' => true])->is(404);
        $this->ask('PUT', $this->address('voice', 'recording'), ['on' => true])->is(404);
        $this->ask('PUT', $this->address($this->group, 'recording'), ['on' => 'loud'])->is(422);
    }

    private function address(string $place, string $what): string
    {
        return "/api/staff/lessons/{$this->lesson->text('id')}/rooms/{$place}/{$what}";
    }

    private function recordings(): string
    {
        return "/api/staff/lessons/{$this->lesson->text('id')}/recordings";
    }

    /**
     * @param array<string, mixed> $fields
     */
    private function source(array $fields): Json
    {
        return $this->ask('PUT', "/api/staff/classes/{$this->lesson->text('classId')}/room-source", $fields);
    }

    private function record(bool $on): Json
    {
        $this->asTeacher();

        return $this->ask('PUT', $this->address($this->group, 'recording'), ['on' => $on]);
    }

    private function all(): Json
    {
        $this->asTeacher();

        return $this->ask('GET', $this->recordings())->is(200);
    }

    private function sound(string $recording): Json
    {
        return $this->ask('GET', "/api/staff/recordings/{$recording}/sound");
    }

    private function ticket(): Json
    {
        $this->asStudent($this->device);

        return $this->ask('POST', '/api/student/room')->is(200);
    }

    /**
     * A recording that is ready, of ten bytes.
     */
    private function ready(): string
    {
        $this->record(true)->is(200);
        $this->record(false)->is(200);
        $this->work();
        $recording = $this->all()->text('recordings.0.id');
        $this->service(FileStore::class)->put($this->key, 'some sound');
        $this->db()->update(
            'recording',
            ['state' => 'ready', 'file' => $this->key, 'bytes' => 10],
            ['id' => $recording],
        );
        $this->em()->clear();

        return $recording;
    }

    private function assertGone(): void
    {
        $this->work();
        $this->expectException(FileAway::class);
        $this->service(FileStore::class)->get($this->key);
    }
}
