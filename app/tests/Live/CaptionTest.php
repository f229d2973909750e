<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * What is said in a room, typed by the staff: read by those who are there, and by nobody else.
 */
final class CaptionTest extends AppTestCase
{
    private Json $lesson;
    /** @var list<string> ids of both groups */
    private array $groups;
    /** @var array{string, string} devices, one of each group */
    private array $devices;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 2);
        $class = $this->lesson->text('classId');
        $this->ask('PUT', "/api/staff/classes/{$class}/room-source", ['kind' => 'ownRooms'])->is(200);
        $this->groups = [$this->lesson->text('floor.groups.0.id'), $this->lesson->text('floor.groups.1.id')];
        $this->devices = [
            $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0')),
            $this->join($this->lesson, $this->lesson->text('floor.groups.1.students.0')),
        ];
        $this->asTeacher();
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        foreach (['main', ...$this->groups] as $place) {
            // Rooms of our own are there from the moment somebody asks to come in.
            $this->ask('POST', $this->address($place, 'enter'))->is(200);
        }
    }

    public function test_those_in_a_room_read_what_is_said_there_and_nobody_else_does(): void
    {
        $this->say($this->groups[0], 'The wall was built before the church.')->is(200);
        $this->say($this->groups[0], '  And the harbour later.  ')->is(200);
        $this->say($this->groups[1], 'Look at the map again.')->is(200);
        self::assertSame(
            ['The wall was built before the church.', 'And the harbour later.'],
            $this->readBy($this->devices[0]),
        );
        self::assertSame(['Look at the map again.'], $this->readBy($this->devices[1]));
        $this->asTeacher();
        self::assertSame(['Look at the map again.'], $this->lines($this->ask('GET', $this->address($this->groups[1], 'captions'))));
    }

    public function test_the_main_session_is_read_by_everybody_once_they_are_called_back(): void
    {
        $this->say('main', 'Welcome back.')->is(200);
        self::assertSame([], $this->readBy($this->devices[0]), 'they are in their group');
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'callBack', 0)->is(200);
        self::assertSame(['Welcome back.'], $this->readBy($this->devices[0]));
        self::assertSame(['Welcome back.'], $this->readBy($this->devices[1]));
    }

    public function test_whoever_is_moved_reads_what_is_said_where_they_are_now(): void
    {
        $this->say($this->groups[0], 'In the first.')->is(200);
        $this->say($this->groups[1], 'In the second.')->is(200);
        $floor = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
        $this->ask('POST', '/api/staff/groupings/'.$floor->text('floor.id').'/edits', [
            'kind' => 'seat',
            'student' => $this->lesson->text('floor.groups.0.students.0'),
            'group' => $this->groups[1],
            'basedOn' => $floor->int('floor.step'),
        ])->is(200);
        self::assertSame(['In the second.'], $this->readBy($this->devices[0]));
    }

    public function test_the_last_thirty_lines_of_a_room_are_kept_and_none_after_the_lesson(): void
    {
        for ($i = 1; $i <= 33; ++$i) {
            $this->say($this->groups[0], "Line {$i}")->is(200);
        }
        $lines = $this->readBy($this->devices[0]);
        self::assertSame(['Line 4', 'Line 33'], [$lines[0], $lines[29]]);
        self::assertCount(30, $lines);
        self::assertSame(30, $this->db()->fetchOne('SELECT COUNT(*) FROM caption'));
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'callBack', 0)->is(200);
        $this->command($this->lesson->text('id'), 'end')->is(200);
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM caption'));
        self::assertSame([], $this->readBy($this->devices[0]));
        $this->say('main', 'Too late.')->is(422);
    }

    public function test_nothing_is_said_without_words_at_places_that_are_not_there_or_by_strangers(): void
    {
        self::assertSame('text', $this->say('main', " \n ")->is(422)->text('errors.0.field'));
        $this->say('main', str_repeat('x', 301))->is(422);
        $this->say('main', '<b>'.str_repeat('é', 297))->is(200);
        $this->say('01a00000-0000-7000-8000-000000000001', 'Anybody here?')->is(404);
        $this->say('nowhere', 'Anybody here?')->is(404);
        $this->asStudent($this->devices[0]);
        $this->ask('POST', $this->address('main', 'captions'), ['text' => 'I am the teacher.'])->is(401);
        $this->ask('GET', $this->address($this->groups[1], 'captions'))->is(401);
        $this->asNobody();
        $this->ask('GET', '/api/student/captions')->is(401);
        $this->asTeacher($this->newTeacher('someone@else.example'));
        $this->ask('POST', $this->address('main', 'captions'), ['text' => 'Hello'])->is(404);
        $this->ask('GET', $this->address('main', 'captions'))->is(404);
    }

    public function test_a_group_of_another_class_is_no_place_of_this_one(): void
    {
        $other = $this->readyLesson(2, 1);
        $this->say($other->text('floor.groups.0.id'), 'Anybody here?')->is(404);
    }

    private function address(string $place, string $what): string
    {
        return "/api/staff/lessons/{$this->lesson->text('id')}/rooms/{$place}/{$what}";
    }

    private function say(string $place, string $text): Json
    {
        $this->asTeacher();

        return $this->ask('POST', $this->address($place, 'captions'), ['text' => $text]);
    }

    /**
     * @return list<string>
     */
    private function readBy(string $device): array
    {
        $this->asStudent($device);

        return $this->lines($this->ask('GET', '/api/student/captions')->is(200));
    }

    /**
     * @return list<string>
     */
    private function lines(Json $answer): array
    {
        return array_map(
            static fn (int $i): string => $answer->text("{$i}.text"),
            array_keys(array_values($answer->list(''))),
        );
    }
}
