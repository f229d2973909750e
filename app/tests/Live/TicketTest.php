<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * What one person may send into a room of our own stands in the token that lets them in.
 */
final class TicketTest extends AppTestCase
{
    private Json $lesson;
    private string $group;
    private string $device;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 2);
        $this->source(['kind' => 'ownRooms']);
        $this->group = $this->lesson->text('floor.groups.0.id');
        $this->device = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->asTeacher();
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
    }

    public function test_a_student_shares_a_screen_where_their_class_may(): void
    {
        self::assertSame(['shares', true], $this->students());
        $this->source(['mayShareScreen' => false]);
        self::assertSame(['speaks', false], $this->students());
        $room = $this->ofGroup();
        $this->ask('PATCH', "/api/staff/rooms/{$room}", ['allowed' => ['mayShareScreen' => true]])->is(204);
        self::assertSame(['shares', true], $this->students(), 'this one room may');
    }

    public function test_whoever_teaches_shares_anyway(): void
    {
        $this->source(['mayShareScreen' => false]);
        $address = "/api/staff/lessons/{$this->lesson->text('id')}/rooms/{$this->group}/enter";
        self::assertSame('shares', self::right($this->ask('POST', $address)->is(200)));
    }

    public function test_the_teachers_voice_is_only_heard(): void
    {
        $this->asStudent($this->device);
        $ticket = $this->ask('POST', '/api/student/room')->is(200);
        self::assertSame('listens', explode('.', $ticket->text('voice.token'))[1] ?? null);
    }

    /**
     * @return array{string, mixed} what the token says, and what the page is told
     */
    private function students(): array
    {
        $this->asStudent($this->device);
        $ticket = $this->ask('POST', '/api/student/room')->is(200);
        $this->asTeacher();

        return [self::right($ticket), $ticket->at('share')];
    }

    private static function right(Json $ticket): string
    {
        return explode('.', $ticket->text('token'))[1] ?? '';
    }

    /**
     * @param array<string, mixed> $fields
     */
    private function source(array $fields): void
    {
        $this->ask('PUT', "/api/staff/classes/{$this->lesson->text('classId')}/room-source", $fields)->is(200);
    }

    private function ofGroup(): string
    {
        $lesson = $this->ask('GET', "/api/staff/lessons/{$this->lesson->text('id')}")->is(200);
        foreach (array_keys($lesson->list('rooms')) as $i) {
            if ($lesson->at("rooms.{$i}.groupId") === $this->group) {
                return $lesson->text("rooms.{$i}.id");
            }
        }
        self::fail('The group has no room.');
    }
}
