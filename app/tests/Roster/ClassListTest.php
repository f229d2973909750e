<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * What a class list knows of its students, and what can be done with a whole class.
 */
final class ClassListTest extends AppTestCase
{
    private string $path;

    /** @var list<string> */
    private array $students;

    protected function setUp(): void
    {
        parent::setUp();
        $made = $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => "Ada\nBen\nChi\nDov"]);
        $this->path = '/api/staff/classes/'.$made->text('id');
        $this->students = array_map(static fn (int $i): string => $made->text("students.{$i}.id"), range(0, 3));
    }

    public function test_attributes_tables_and_tags_are_set_changed_and_taken_away_one_by_one(): void
    {
        $this->edit(0, [
            'table' => ' Window ',
            'tags' => ['calm', ' lead', 'calm'],
            'attributes' => [['name' => 'Level', 'value' => '3'], ['name' => 'Language', 'value' => 'Somali']],
        ])->is(204);
        $ada = $this->student(0);
        self::assertSame(['Window', ['calm', 'lead']], [$ada['table'], $ada['tags']]);
        self::assertSame(
            [['name' => 'Level', 'value' => '3'], ['name' => 'Language', 'value' => 'Somali']],
            $ada['attributes'],
        );
        $this->edit(0, ['attributes' => [['name' => 'Level', 'value' => '']], 'table' => ''])->is(204);
        $ada = $this->student(0);
        self::assertSame([null, [['name' => 'Language', 'value' => 'Somali']]], [$ada['table'], $ada['attributes']]);
        self::assertSame(['calm', 'lead'], $ada['tags'], 'what is not said stays');
    }

    public function test_what_is_too_long_or_nameless_is_refused_at_the_field(): void
    {
        self::assertSame(
            'table',
            $this->edit(0, ['table' => str_repeat('x', 61)])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->edit(0, ['attributes' => [['name' => ' ', 'value' => '1']]])->is(422);
        $this->edit(0, ['tags' => array_map(strval(...), range(1, 31))])->is(422);
        $this->edit(0, ['tags' => ['']])->is(422);
        self::assertSame([], $this->student(0)['tags']);
    }

    public function test_the_class_says_what_its_list_knows(): void
    {
        foreach (['10', '9', '2.5', ''] as $i => $level) {
            $this->edit($i, [
                'table' => ['B', 'a', 'B', 'C'][$i],
                'tags' => 0 === $i ? ['lead'] : [],
                'attributes' => [
                    ['name' => 'Level', 'value' => $level],
                    ['name' => 'Language', 'value' => ['so', 'pl', 'so', 'fi'][$i]],
                ],
            ]);
        }
        $class = $this->ask('GET', $this->path);
        self::assertSame(['a', 'B', 'C'], $class->texts('tables'));
        self::assertSame(['lead'], $class->texts('tags'));
        self::assertSame(
            [
                ['name' => 'Level', 'numeric' => true, 'values' => ['2.5', '9', '10']],
                ['name' => 'Language', 'numeric' => false, 'values' => ['fi', 'pl', 'so']],
            ],
            $class->list('attributes'),
        );
    }

    public function test_rules_between_students_are_kept_once_and_lifted(): void
    {
        $rule = $this->rule('apart', [0, 1])->is(200);
        self::assertSame(
            'This rule already exists.',
            $this->rule('apart', [1, 0])
                ->is(422)
                ->text('title'),
        );
        $this->rule('together', [0, 1])->is(200);
        $this->rule('apart', [0])->is(422);
        $this->rule('apart', [0, 0])->is(422);
        $other = $this->ask('POST', '/api/staff/classes', ['name' => '9H', 'names' => 'Eve'])->text('students.0.id');
        self::assertSame(
            'students',
            $this->ask('POST', $this->path.'/rules', [
                'kind' => 'apart',
                'students' => [$this->students[0], $other],
            ])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertCount(2, $this->ask('GET', $this->path)->list('rules'));
        $this->ask('DELETE', '/api/staff/rules/'.$rule->text('rule.id'))->is(204);
        self::assertSame(
            ['together'],
            array_map(
                static fn (mixed $one): mixed => \is_array($one) ? $one['kind'] : null,
                $this->ask('GET', $this->path)->list('rules'),
            ),
        );
    }

    public function test_a_rule_about_somebody_who_has_left_waits_until_they_are_back(): void
    {
        $this->rule('apart', [0, 1])->is(200);
        $this->rule('apart', [1, 2, 3])->is(200);
        $this->ask('DELETE', "/api/staff/students/{$this->students[1]}")->is(204);
        $rules = $this->ask('GET', $this->path);
        self::assertCount(1, $rules->list('rules'));
        self::assertSame([$this->students[2], $this->students[3]], $rules->texts('rules.0.students'));
        $this->ask('POST', "/api/staff/students/{$this->students[1]}/restore")->is(204);
        self::assertCount(2, $this->ask('GET', $this->path)->list('rules'));
    }

    public function test_another_teacher_cannot_see_set_or_lift_anything(): void
    {
        $rule = $this->rule('apart', [0, 1])->text('rule.id');
        $this->asTeacher($this->newTeacher('other@larkmouth.example'));
        $this->rule('apart', [2, 3])->is(404);
        $this->ask('DELETE', "/api/staff/rules/{$rule}");
        $this->ask('POST', $this->path.'/import/preview', ['text' => 'Eve'])->is(404);
        $this->ask('POST', $this->path.'/import', ['text' => 'Eve'])->is(404);
        foreach (['csv', 'json', 'oneroster'] as $format) {
            $this->ask('GET', $this->path.'/export/'.$format)->is(404);
        }
        $this->ask('POST', $this->path.'/copy', ['name' => 'Mine'])->is(404);
        $this->ask('POST', $this->path.'/archive', ['archived' => true])->is(404);
        $this->asTeacher();
        self::assertCount(1, $this->ask('GET', $this->path)->list('rules'));
    }

    public function test_nothing_a_student_can_fetch_holds_a_rule_an_attribute_or_a_tag(): void
    {
        $lesson = $this->ask('POST', $this->path.'/lessons', ['title' => 'Secret rules', 'minutes' => 40]);
        $this->rule('apart', [0, 1])->is(200);
        $this->edit(0, [
            'tags' => ['tag-of-ada'],
            'table' => 'table-of-ada',
            'schoolId' => 'id-of-ada',
            'attributes' => [['name' => 'worry', 'value' => 'attribute-of-ada']],
        ]);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 2,
        ]);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $token = $this->join($this->ask('GET', '/api/staff/lessons/'.$lesson->text('id')), $this->students[0]);
        $this->asStudent($token);
        foreach (['/api/student/now', '/api/student/classes/'.$lesson->text('doorWord')] as $path) {
            $raw = $this->ask('GET', $path)->is(200)->raw;
            foreach (['apart', 'tag-of-ada', 'table-of-ada', 'id-of-ada', 'attribute-of-ada', 'worry'] as $secret) {
                self::assertStringNotContainsString($secret, $raw);
            }
        }
    }

    public function test_a_class_is_copied_for_another_period_with_everything_but_its_days(): void
    {
        $this->edit(0, [
            'table' => 'Window',
            'tags' => ['lead'],
            'attributes' => [['name' => 'Level', 'value' => '3']],
            'absent' => true,
        ]);
        $this->edit(3, ['seatable' => false]);
        $this->rule('apart', [0, 1]);
        $copy = $this->ask('POST', $this->path.'/copy', ['name' => '9G, period 5'])->is(200);
        self::assertSame(
            ['Ada', 'Ben', 'Chi', 'Dov'],
            array_map(static fn (int $i): string => $copy->text("students.{$i}.name"), range(0, 3)),
        );
        self::assertSame(
            ['Window', ['lead'], false],
            [$copy->text('students.0.table'), $copy->texts('students.0.tags'), $copy->at('students.0.absent')],
        );
        self::assertFalse($copy->at('students.3.seatable'));
        self::assertSame(
            [$copy->text('students.0.id'), $copy->text('students.1.id')],
            $copy->texts('rules.0.students'),
        );
        self::assertNotSame($this->ask('GET', $this->path)->text('doorWord'), $copy->text('doorWord'));
        self::assertStringNotContainsString(
            $copy->text('id'),
            $this->ask('GET', '/api/staff/lessons')->is(200)->raw,
            'its lessons are its own',
        );
    }

    public function test_an_archived_class_is_out_of_the_way_and_comes_back(): void
    {
        $this->ask('POST', $this->path.'/archive', ['archived' => true])->is(204);
        self::assertTrue($this->ask('GET', '/api/staff/classes')->at('0.archived'));
        self::assertTrue($this->ask('GET', $this->path)->at('archived'));
        $this->ask('POST', $this->path.'/archive', ['archived' => false])->is(204);
        self::assertFalse($this->ask('GET', '/api/staff/classes')->at('0.archived'));
    }

    /**
     * @param array<string, mixed> $change
     */
    private function edit(int $student, array $change): Json
    {
        return $this->ask('PATCH', "/api/staff/students/{$this->students[$student]}", $change);
    }

    /**
     * @param list<int> $students
     */
    private function rule(string $kind, array $students): Json
    {
        return $this->ask('POST', $this->path.'/rules', [
            'kind' => $kind,
            'students' => array_map(fn (int $i): string => $this->students[$i], $students),
        ]);
    }

    /**
     * @return array<array-key, mixed>
     */
    private function student(int $number): array
    {
        $student = $this->ask('GET', $this->path)->at("students.{$number}");
        self::assertIsArray($student);

        return $student;
    }

    public function test_a_column_is_filled_for_many_at_once_all_or_nothing(): void
    {
        $lesson = $this->newLesson(3);
        $class = $lesson->text('classId');
        $ids = array_map(static fn (int $i): string => $lesson->text("students.{$i}.id"), [0, 1, 2]);
        $this->ask('PUT', "/api/staff/classes/{$class}/column", [
            'attribute' => 'Level',
            'cells' => [['student' => $ids[0], 'value' => '4'], ['student' => $ids[2], 'value' => 'B2']],
        ])->is(204);
        $this->ask('PUT', "/api/staff/classes/{$class}/column", [
            'attribute' => null,
            'cells' => [['student' => $ids[1], 'value' => ' Window ']],
        ])->is(204);
        $list = $this->ask('GET', "/api/staff/classes/{$class}");
        self::assertSame(
            [[['name' => 'Level', 'value' => '4']], [], [['name' => 'Level', 'value' => 'B2']]],
            [
                $list->at('students.0.attributes'),
                $list->at('students.1.attributes'),
                $list->at('students.2.attributes'),
            ],
        );
        self::assertSame('Window', $list->at('students.1.table'));

        // One who is not on the list: nothing of it is written.
        $this->ask('PUT', "/api/staff/classes/{$class}/column", [
            'attribute' => 'Level',
            'cells' => [
                ['student' => $ids[0], 'value' => '1'],
                ['student' => '018f2b2e-7c3e-7000-8000-000000000000', 'value' => '1'],
            ],
        ])->is(422);
        self::assertSame('4', $this->ask('GET', "/api/staff/classes/{$class}")->at('students.0.attributes.0.value'));
        $this->ask('PUT', "/api/staff/classes/{$class}/column", [
            'attribute' => null,
            'cells' => [['student' => $ids[0], 'value' => str_repeat('ä', 61)]],
        ])->is(422);
        // And back: an empty value takes it away.
        $this->ask('PUT', "/api/staff/classes/{$class}/column", [
            'attribute' => 'Level',
            'cells' => [['student' => $ids[0], 'value' => '']],
        ])->is(204);
        self::assertSame([], $this->ask('GET', "/api/staff/classes/{$class}")->at('students.0.attributes'));
    }
}
