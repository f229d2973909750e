<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * A lesson that is over is shown as it was, whatever its students do afterwards.
 */
final class EndTest extends AppTestCase
{
    use ClockSensitiveTrait;

    public function test_afterwards_it_shows_who_was_there_and_not_where_they_are_now(): void
    {
        self::mockTime();
        [$lesson, $here, $away] = $this->held();
        $this->command($lesson->text('id'), 'end')->is(200);
        $over = $this->again($lesson);
        self::assertIsInt($over->at('endedAt'));
        self::assertSame('inPlace', $this->place($over, $here));
        self::assertSame('lost', $this->place($over, $away));

        // An hour later: one has gone, another opens the page for the first time.
        self::mockTime('+1 hour');
        $this->service(PresenceStore::class)->pageIsAlive($away);
        $this->work();
        $later = $this->again($lesson);
        self::assertSame(['inPlace', 'lost'], [$this->place($later, $here), $this->place($later, $away)]);
    }

    public function test_it_is_not_ended_over_the_heads_of_groups_at_work(): void
    {
        $lesson = $this->readyLesson();
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut');
        self::assertSame(
            'Groups are at work. Call everyone back first.',
            $this->command($lesson->text('id'), 'end')->is(422)->text('title'),
        );
    }

    public function test_pressed_twice_it_ends_once_and_not_over_yet_takes_it_back(): void
    {
        [$lesson] = $this->held();
        $id = $lesson->text('id');
        $this->command($id, 'end')->is(200);
        $ended = $this->again($lesson)->at('endedAt');
        $this->command($id, 'end')->is(200);
        self::assertSame($ended, $this->again($lesson)->at('endedAt'));
        self::assertSame(
            'This lesson is over. Press “Reopen lesson” first.',
            $this->command($id, 'sendOut')->is(422)->text('title'),
        );
        $this->command($id, 'reopen')->is(200);
        self::assertNull($this->again($lesson)->at('endedAt'));
        $this->command($id, 'sendOut')->is(200);
    }

    public function test_a_student_is_told_that_it_is_over(): void
    {
        [$lesson, , , $token] = $this->held();
        $this->command($lesson->text('id'), 'end');
        $this->asStudent($token);
        self::assertTrue($this->ask('GET', '/api/student/now')->at('over'));
    }

    public function test_a_lesson_the_class_has_left_for_another_is_over(): void
    {
        self::mockTime();
        [$lesson, $here] = $this->held();
        $next = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Afterwards',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'groups' => 'same',
        ]);
        $this->setRound($next->text('id'), ['lookSeconds' => 0]);
        $this->command($next->text('id'), 'sendOut', leaving: $lesson->text('id'))->is(200);
        $this->work();
        $over = $this->again($lesson);
        self::assertIsInt($over->at('endedAt'));
        self::assertSame('inPlace', $this->place($over, $here));
        self::assertNull($this->again($next)->at('endedAt'));
    }

    public function test_it_goes_on_as_long_as_staff_look_at_it_though_no_student_has_a_device(): void
    {
        self::mockTime();
        [$lesson] = $this->held();
        foreach (range(1, 4) as $look) {
            self::mockTime('+10 minutes');
            $this->again($lesson);
            $this->work();
        }
        self::assertNull($this->again($lesson)->at('endedAt'));
    }

    public function test_a_lesson_that_has_fallen_silent_is_over(): void
    {
        self::mockTime();
        [$lesson, $here] = $this->held();
        self::mockTime('+21 minutes');
        $this->work();
        self::assertNull(
            $this->db()->fetchOne('SELECT ended_at FROM lesson WHERE id = ?', [$lesson->text('id')]),
            'groups may work on paper: not before its time is over',
        );
        self::mockTime('+51 minutes');
        $this->work();
        $over = $this->again($lesson);
        self::assertIsInt($over->at('endedAt'));
        self::assertSame('inPlace', $this->place($over, $here));
    }

    public function test_guests_are_guests_of_the_lesson(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $class = $lesson->text('classId');
        $this->setRound($id, ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        $mia = $this->guest($lesson, 'Mia From Next Door');
        $tom = $this->guest($lesson, 'Tom Who Stays');
        self::assertContains($mia, array_column($this->again($lesson)->list('students'), 'id'));

        $next = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'Next',
            'minutes' => 50,
            'from' => $id,
            'groups' => 'newPartners',
        ])->is(200);
        $this->ask('POST', '/api/staff/groupings/'.$next->text('floor.id').'/deal', [
            'basedOn' => $next->int('floor.step'),
            'groups' => 2,
        ])->is(200);
        $later = $this->again($next);
        foreach (array_keys($later->list('floor.groups')) as $i) {
            self::assertNotContains(
                $mia,
                $later->list("floor.groups.{$i}.students"),
                'never dealt into a later lesson',
            );
        }
        self::assertNotContains($mia, array_column($later->list('students'), 'id'));

        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/edits', [
            'kind' => 'seat',
            'student' => $mia,
            'group' => $lesson->text('floor.groups.0.id'),
            'basedOn' => $this->again($lesson)->int('floor.step'),
        ])->is(200);
        $this->command($id, 'sendOut')->is(200);
        $this->command($id, 'callBack', 0)->is(200);
        $this->ask('PATCH', "/api/staff/students/{$tom}", ['guest' => false])->is(204);
        $this->command($id, 'end')->is(200);
        $list = $this->ask('GET', "/api/staff/classes/{$class}");
        $onList = array_column($list->list('students'), 'name');
        self::assertNotContains('Mia From Next Door', $onList);
        self::assertContains('Tom Who Stays', $onList);
        self::assertContains(
            'Mia From Next Door',
            array_column($this->again($lesson)->list('students'), 'name'),
            'the lesson keeps who was there',
        );
        $this->command($id, 'reopen')->is(200);
        self::assertContains($mia, array_column($this->again($lesson)->list('students'), 'id'));
    }

    private function guest(Json $lesson, string $name): string
    {
        $this->asNobody();
        $this->forgetLimits();
        $this->ask('POST', '/api/student/join', [
            'doorWord' => $lesson->text('doorWord'),
            'name' => $name,
            'wait' => true,
        ])->is(200);
        $this->asTeacher();
        $guest = $this->again($lesson)->text('doorway.0.id');
        $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId')."/doorway/{$guest}/guest")->is(204);
        foreach ($this->again($lesson)->list('students') as $student) {
            if (\is_array($student) && $student['name'] === $name && \is_string($student['id'])) {
                return $student['id'];
            }
        }
        self::fail('no guest');
    }

    /**
     * @return array{Json, string, string, string} a lesson whose round is done, a student who was there, one who was
     *     not, and the device of the first
     */
    private function held(): array
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->setRound($id, ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        $here = $lesson->text('floor.groups.0.students.0');
        $token = $this->join($lesson, $here);
        $this->command($id, 'sendOut')->is(200);
        $this->work();
        $this->command($id, 'callBack', 0)->is(200);

        return [$lesson, $here, $lesson->text('floor.groups.1.students.0'), $token];
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }

    private function place(Json $lesson, string $student): mixed
    {
        foreach (array_keys($lesson->list('students')) as $i) {
            if ($lesson->text("students.{$i}.id") === $student) {
                return $lesson->at("students.{$i}.place");
            }
        }
        self::fail('not on the list');
    }
}
