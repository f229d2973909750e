<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

/**
 * Calling on students: fairly, whoever is here, once a press.
 */
final class CallingTest extends DebriefTestCase
{
    public function test_everybody_who_is_here_is_called_on_once_before_anybody_twice(): void
    {
        $this->workDone(6, 2, 5);
        $this->everybodyBack();
        $called = [];
        for ($i = 0; $i < 5; ++$i) {
            $called[] = $this->debrief('POST', '/calls', ['last' => $i])->is(200)->text("calls.{$i}.student");
        }
        sort($called);
        $here = array_map(fn (int $i): string => $this->lesson->text("students.{$i}.id"), range(0, 4));
        sort($here);
        self::assertSame($here, $called, 'nobody absent, nobody twice');
    }

    public function test_two_presses_call_on_one(): void
    {
        $this->workDone();
        $this->debrief('POST', '/calls', ['last' => 0])->is(200);
        self::assertCount(1, $this->debrief('POST', '/calls', ['last' => 0])->is(200)->list('calls'));
    }

    public function test_a_pass_does_not_count_and_an_answer_does(): void
    {
        $this->workDone(2, 1, 2);
        $first = $this->debrief('POST', '/calls', ['last' => 0]);
        $this->debrief('PATCH', '/calls/'.$first->text('calls.0.id'), ['state' => 'passed'])->is(200);
        $second = $this->debrief('POST', '/calls', ['last' => 1]);
        self::assertNotSame($first->text('calls.0.student'), $second->text('calls.1.student'), 'never twice running');
        $this->debrief('PATCH', '/calls/'.$second->text('calls.1.id'), ['state' => 'answered'])->is(200);
        $third = $this->debrief('POST', '/calls', ['last' => 2]);
        self::assertSame($first->text('calls.0.student'), $third->text('calls.2.student'), 'back in the draw');
    }

    public function test_where_nobody_has_a_device_whoever_is_not_absent_is_called_on(): void
    {
        $this->workDone(3, 1, 0);
        $this->ask('PATCH', '/api/staff/students/'.$this->lesson->text('students.0.id'), ['absent' => true])->is(204);
        $called = [];
        for ($i = 0; $i < 6; ++$i) {
            $called[$this->debrief('POST', '/calls', ['last' => $i])->is(200)->text("calls.{$i}.student")] = true;
        }
        self::assertCount(2, $called);
        self::assertArrayNotHasKey($this->lesson->text('students.0.id'), $called);
    }

    public function test_one_group_alone_can_be_called_on(): void
    {
        $this->workDone();
        $group = $this->lesson->text('floor.groups.1.id');
        for ($i = 0; $i < 6; ++$i) {
            $called = $this->debrief('POST', '/calls', ['last' => $i, 'group' => $group])->is(200);
            self::assertContains($called->text("calls.{$i}.student"), $this->lesson->texts('floor.groups.1.students'));
        }
    }

    public function test_nobody_to_call_on_is_said(): void
    {
        $this->workDone();
        $this->debrief('POST', '/calls', ['last' => 0, 'role' => 'scribe'])->is(422);
    }

    public function test_who_was_called_on_before_counts_in_the_next_lesson(): void
    {
        $this->workDone(3, 1, 3);
        $called = [];
        foreach ([0, 1] as $i) {
            $called[] = $this->debrief('POST', '/calls', ['last' => $i])->text("calls.{$i}.student");
        }
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $class = $this->lesson->text('classId');
        $next = $this->ask('POST', "/api/staff/classes/{$class}/lessons", ['title' => 'Next', 'minutes' => 40]);
        $this->id = $next->text('id');
        $third = $this->debrief('POST', '/calls', ['last' => 0])->is(200)->text('calls.0.student');
        self::assertNotContains($third, $called);
    }

    public function test_everybody_sees_who_is_asked_and_nothing_once_it_is_marked(): void
    {
        $tokens = $this->workDone();
        $call = $this->debrief('POST', '/calls', ['last' => 0]);
        $this->asStudent($tokens[0]);
        self::assertSame($call->text('calls.0.name'), $this->ask('GET', '/api/student/debrief')->text('called.name'));
        $this->asTeacher();
        $this->debrief('PATCH', '/calls/'.$call->text('calls.0.id'), ['state' => 'answered'])->is(200);
        $this->asStudent($tokens[0]);
        self::assertNull($this->ask('GET', '/api/student/debrief')->at('called'));
    }

    public function test_who_is_asked_stays_between_the_two_where_the_class_is_not_to_see_it(): void
    {
        $tokens = $this->workDone();
        $called = $this->debrief('POST', '/calls', ['last' => 0, 'shown' => false])->is(200);
        self::assertFalse($called->at('showsCalled'));
        $this->asStudent($tokens[0]);
        self::assertNull($this->ask('GET', '/api/student/debrief')->at('called'));
        $this->asTeacher();
        $this->debrief('POST', '/calls', ['last' => 1, 'shown' => true])->is(200);
        $this->asStudent($tokens[0]);
        self::assertNotNull($this->ask('GET', '/api/student/debrief')->at('called'));
    }

    public function test_a_lesson_that_is_over_calls_on_nobody(): void
    {
        $this->workDone();
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $this->debrief('POST', '/calls', ['last' => 0])->is(422);
    }
}
