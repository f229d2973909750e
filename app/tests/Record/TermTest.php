<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Record;

use FreshHuddle\App\Tests\Debrief\DebriefTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * A class over its lessons.
 */
final class TermTest extends DebriefTestCase
{
    public function test_it_is_empty_before_a_lesson_is_over(): void
    {
        $this->workDone(4, 2, 4);
        $this->asTeacher();
        $term = $this->term();
        self::assertCount(0, $term->list('lessons'));
        self::assertCount(4, $term->list('students'));
    }

    public function test_it_says_who_was_with_whom_who_missed_who_was_called_on_and_visited(): void
    {
        $this->workDone(4, 2, 3);
        $this->asTeacher();
        $group = $this->lesson->text('floor.groups.0.id');
        $this->give(['kind' => 'visit', 'group' => $group]);
        $this->give(['kind' => 'leave']);
        $this->everybodyBack();
        $called = $this->debrief('POST', '/calls', ['last' => 0])->text('calls.0.student');
        $this->command($this->id, 'end')->is(200);
        $term = $this->term();
        self::assertCount(1, $term->list('lessons'));
        $students = array_column($term->list('students'), null, 'id');
        $missing = $this->lesson->text('students.3.id');
        foreach ($students as $id => $student) {
            self::assertIsArray($student);
            self::assertSame($id === $missing ? 1 : 0, $student['missing']);
            self::assertSame([$id === $called ? 1 : 0], $student['called']);
        }
        $places = array_flip(array_keys($students));
        $pairs = [];
        foreach ([0, 1] as $i) {
            [$one, $other] = array_map(
                static fn (string $id): int => $places[$id],
                $this->lesson->texts("floor.groups.{$i}.students"),
            );
            $pairs[] = [min($one, $other), max($one, $other), 1];
        }
        sort($pairs);
        self::assertSame($pairs, $term->list('together'));
        $csv = $this->ask('GET', $this->path('.csv'))->is(200)->raw;
        self::assertSame(5, substr_count(trim($csv), "\n") + 1, 'a heading and four students');
        self::assertStringStartsWith('%PDF', $this->ask('GET', $this->path('.pdf'))->is(200)->raw);
    }

    public function test_a_corrected_call_counts(): void
    {
        $this->workDone(2, 1, 2);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $ada = $this->lesson->text('students.0.id');
        $this->ask('PUT', "/api/staff/lessons/{$this->id}/record/figures", [
            'student' => $ada,
            'figure' => 'calledOn',
            'value' => 3,
        ])->is(204);
        $students = array_column($this->term()->list('students'), 'called', 'id');
        self::assertSame([3], $students[$ada]);
    }

    public function test_the_desk_counts_the_same(): void
    {
        $this->workDone(4, 2, 4);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $desk = $this->ask('GET', '/api/staff/groupings/'.$this->lesson->text('floor.id'))->is(200);
        self::assertCount(\count($this->term()->list('lessons')), $desk->list('uses'));
    }

    public function test_it_is_not_for_students_or_other_teachers(): void
    {
        $tokens = $this->workDone(2, 1, 1);
        $this->asStudent($tokens[0]);
        $this->ask('GET', $this->path(''))->is(401);
        $other = $this->newTeacher('otto@larkmouth.example');
        $this->asTeacher($other);
        foreach (['', '.csv', '.pdf'] as $format) {
            $this->ask('GET', $this->path($format))->is(404);
        }
    }

    private function term(): Json
    {
        return $this->ask('GET', $this->path(''))->is(200);
    }

    private function path(string $format): string
    {
        return '/api/staff/classes/'.$this->lesson->text('classId').'/term'.$format;
    }
}
