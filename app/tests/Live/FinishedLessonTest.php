<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * A lesson that is over stays as it was, whatever is planned afterwards with the same groups, rooms and names.
 */
final class FinishedLessonTest extends AppTestCase
{
    use ClockSensitiveTrait;

    public function test_moving_a_student_for_the_next_lesson_moves_nobody_in_the_finished_one(): void
    {
        [$over, $next] = $this->finishedAndNext();
        $before = $this->again($over);
        $log = $this->ask('GET', '/api/staff/lessons/'.$over->text('id').'/log');
        $student = $over->text('floor.groups.0.students.0');
        $other = $over->text('floor.groups.1.id');
        $this->edit($next, ['kind' => 'seat', 'student' => $student, 'group' => $other]);
        $this->edit($next, ['kind' => 'rename', 'group' => $other, 'name' => 'Saltmarsh']);
        $this->ask('PATCH', "/api/staff/students/{$student}", ['name' => 'Renamed Since'])->is(204);
        $this->ask('POST', '/api/staff/classes/'.$over->text('classId').'/import', ['text' => "Name\nNewcomer"]);
        $this->work();

        $after = $this->again($over);
        foreach (['floor.groups', 'students', 'copies', 'rooms', 'runRooms', 'seq'] as $what) {
            self::assertEquals($before->at($what), $after->at($what), $what);
        }
        self::assertEquals(
            $log->at(''),
            $this->ask('GET', '/api/staff/lessons/'.$over->text('id').'/log')->at(''),
        );
        self::assertSame($other, $this->groupOf($this->again($next), $student));
    }

    public function test_in_the_next_round_with_the_same_groups_a_student_who_was_moved_does_not_get_the_other_groups_work(): void
    {
        [$over, $next, $student, $phone] = $this->finishedAndNext();
        $others = null;
        foreach ($over->list('copies') as $copy) {
            if (\is_array($copy) && $copy['groupId'] === $over->text('floor.groups.1.id')) {
                $others = $copy['id'];
            }
        }
        self::assertIsString($others);
        $this->edit($next, ['kind' => 'seat', 'student' => $student, 'group' => $over->text('floor.groups.1.id')]);
        $this->asStudent($phone);
        $this->ask('GET', "/api/student/copies/{$others}")->is(404);
        $now = $this->ask('GET', '/api/student/now')->is(200);
        self::assertSame($over->text('floor.groups.0.id'), $now->text('group.id'));
        self::assertNotSame($others, $now->text('group.copies.0.id'));
        $this->ask('GET', '/api/student/copies/'.$now->text('group.copies.0.id'))->is(200);
    }

    public function test_a_student_who_was_moved_during_the_round_stays_where_they_ended(): void
    {
        $lesson = $this->readyLesson();
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $student = $lesson->text('floor.groups.0.students.0');
        $this->edit($lesson, [
            'kind' => 'seat',
            'student' => $student,
            'group' => $lesson->text('floor.groups.1.id'),
        ]);
        $this->command($lesson->text('id'), 'callBack', 0)->is(200);
        $this->command($lesson->text('id'), 'end')->is(200);
        self::assertSame($lesson->text('floor.groups.1.id'), $this->groupOf($this->again($lesson), $student));
    }

    public function test_a_link_that_the_next_lesson_takes_over_stays_with_the_lesson_that_used_it(): void
    {
        $lesson = $this->newLesson(4);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 2,
            'seed' => 1,
        ])->is(200);
        $this->paste($lesson);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        foreach ([['sendOut', null], ['callBack', 0], ['end', null]] as [$kind, $seconds]) {
            $this->command($lesson->text('id'), $kind, $seconds)->is(200);
        }
        $before = $this->again($lesson)->list('runRooms');
        self::assertSame(['https://meet.example/one', 'https://meet.example/two'], array_column($before, 'link'));
        $next = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Afterwards',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'groups' => 'newPartners',
        ])->is(200);
        $this->paste($next);
        self::assertSame($before, $this->again($lesson)->list('runRooms'));
    }

    public function test_editing_groups_says_which_lessons_have_used_them(): void
    {
        [$over, $next] = $this->finishedAndNext();
        $used = $this->again($next)->list('usedBy');
        self::assertSame(
            [[$over->text('id'), false]],
            array_map(
                static fn (mixed $use): array => \is_array($use) ? [$use['lessonId'], $use['isOut']] : [],
                $used,
            ),
        );
        $this->setRound($next->text('id'), ['lookSeconds' => 0]);
        $this->command($next->text('id'), 'sendOut')->is(200);
        self::assertSame(
            [true, false],
            array_column(
                $this->ask('GET', '/api/staff/groupings/'.$next->text('floor.id'))->list('usedBy'),
                'isOut',
            ),
            'the latest first',
        );
        self::assertSame([], $this->again($over)->list('usedBy'), 'a lesson that is over changes nothing');
    }

    public function test_the_wall_says_that_everybody_is_back_only_where_that_is_known(): void
    {
        self::mockTime();
        $lesson = $this->readyLesson();
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        $this->join($lesson, $lesson->text('floor.groups.0.students.0'));
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $wall = '/api'.$lesson->text('classPage');
        self::assertNull($this->ask('GET', $wall)->at('back'));
        $this->command($lesson->text('id'), 'callBack', 0)->is(200);
        $seen = $this->ask('GET', $wall)->is(200);
        self::assertSame([0, 1], [$seen->at('back'), $seen->at('of')]);
        self::assertFalse($seen->at('over'));
    }

    private function paste(Json $lesson): void
    {
        $this->ask('PUT', '/api/staff/rounds/'.$lesson->text('round.id').'/links', [
            'text' => "https://meet.example/one\nhttps://meet.example/two",
        ])->is(200);
    }

    /**
     * @return array{Json, Json, string, string} a lesson that is over, the next with the same groups, a student of the
     *     first group and their device
     */
    private function finishedAndNext(): array
    {
        $lesson = $this->readyLesson();
        $student = $lesson->text('floor.groups.0.students.0');
        $phone = $this->join($lesson, $student);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        foreach ([['sendOut', null], ['callBack', 0], ['end', null]] as [$kind, $seconds]) {
            $this->command($lesson->text('id'), $kind, $seconds)->is(200);
        }
        $next = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Spring tide',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'groups' => 'same',
        ])->is(200);

        return [$this->again($lesson), $next, $student, $phone];
    }

    /**
     * @param array<string, mixed> $edit
     */
    private function edit(Json $lesson, array $edit): void
    {
        $step = $this->again($lesson)->int('floor.step');
        $this->ask(
            'POST',
            '/api/staff/groupings/'.$lesson->text('floor.id').'/edits',
            $edit + ['basedOn' => $step],
        )->is(200);
    }

    private function groupOf(Json $lesson, string $student): ?string
    {
        foreach ($lesson->list('floor.groups') as $group) {
            if (\is_array($group) && \is_array($group['students']) && \in_array($student, $group['students'], true)) {
                return \is_string($group['id']) ? $group['id'] : null;
            }
        }

        return null;
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }
}
