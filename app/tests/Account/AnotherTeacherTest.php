<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * What one teacher has is not there for another: not to be read, and not to be changed.
 */
final class AnotherTeacherTest extends AppTestCase
{
    private Json $lesson;
    private string $rule;
    private string $variant;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson();
        $students = array_map(fn (int $i): string => $this->lesson->text("students.{$i}.id"), [0, 1]);
        $this->rule = $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/rules', ['kind' => 'wish', 'students' => $students])->text('id');
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/variants', ['name' => 'Laid aside']);
        $this->variant = $this->ask('GET', '/api/staff/groupings/'.$this->lesson->text('floor.id'))->text('variants.0.id');
    }

    /**
     * @return iterable<string, array{string, string, array<string, mixed>|null}>
     */
    public static function doors(): iterable
    {
        $settings = ['method' => 'balance', 'groups' => 2];
        $round = ['name' => '', 'groups' => [['id' => null, 'name' => 'Mine', 'students' => ['{student}']]]];
        foreach ([
            ['GET', 'classes/{class}', null],
            ['PATCH', 'classes/{class}', ['name' => 'Mine now']],
            ['POST', 'classes/{class}/archive', ['archived' => true]],
            ['POST', 'classes/{class}/copy', ['name' => 'Mine now']],
            ['GET', 'classes/{class}/export/csv', null],
            ['GET', 'classes/{class}/export/json', null],
            ['GET', 'classes/{class}/export/oneroster', null],
            ['POST', 'classes/{class}/groupings', ['name' => 'Mine']],
            ['POST', 'classes/{class}/import', ['text' => "Name\nIntruder"]],
            ['POST', 'classes/{class}/import/preview', ['text' => "Name\nStudent A"]],
            ['POST', 'classes/{class}/lessons', ['title' => 'Mine', 'minutes' => 50]],
            ['POST', 'classes/{class}/preview', ['names' => 'Student A']],
            ['POST', 'classes/{class}/rules', ['kind' => 'apart', 'students' => ['{student}', '{other}']]],
            ['POST', 'classes/{class}/students', ['names' => 'Intruder']],
            ['GET', 'classes/{class}/groupings', null],
            ['GET', 'groupings/{grouping}', null],
            ['PATCH', 'groupings/{grouping}', ['name' => 'Mine']],
            ['DELETE', 'groupings/{grouping}', null],
            ['POST', 'groupings/{grouping}/copy', ['name' => 'Mine']],
            ['POST', 'groupings/{grouping}/deal', ['basedOn' => 1, 'groups' => 3]],
            ['POST', 'groupings/{grouping}/edits', ['basedOn' => 1, 'kind' => 'addTable']],
            ['GET', 'groupings/{grouping}/export/csv', null],
            ['GET', 'groupings/{grouping}/export/json', null],
            ['GET', 'groupings/{grouping}/export/pdf', null],
            ['POST', 'groupings/{grouping}/judge', ['settings' => $settings]],
            ['POST', 'groupings/{grouping}/propose', ['settings' => $settings]],
            ['POST', 'groupings/{grouping}/undo', ['basedOn' => 1]],
            ['POST', 'groupings/{grouping}/redo', ['basedOn' => 1]],
            ['POST', 'groupings/{grouping}/repair', null],
            ['POST', 'groupings/{grouping}/restore', null],
            ['POST', 'groupings/{grouping}/roles', ['basedOn' => 1]],
            ['POST', 'groupings/{grouping}/sign-up', ['seats' => 4]],
            ['DELETE', 'groupings/{grouping}/sign-up', null],
            ['POST', 'groupings/{grouping}/take', ['basedOn' => 1, 'what' => 'balance', 'rounds' => [$round]]],
            ['POST', 'groupings/{grouping}/variants', ['name' => 'Mine']],
            ['DELETE', 'groupings/{grouping}/variants/{variant}', null],
            ['POST', 'groupings/{grouping}/why', ['settings' => $settings, 'student' => '{student}']],
            ['GET', 'lessons/{lesson}', null],
            ['PATCH', 'lessons/{lesson}', ['title' => 'Mine']],
            ['POST', 'lessons/{lesson}/commands', ['kind' => 'sendOut']],
            ['POST', 'lessons/{lesson}/current', null],
            ['POST', 'rounds/{round}/copies', null],
            ['GET', 'rounds/{round}/copies', null],
            ['PUT', 'rounds/{round}/original', ['title' => 'Mine', 'basedOn' => 1, 'blocks' => []]],
            ['POST', 'rounds/{round}/rooms', null],
            ['DELETE', 'rules/{rule}', null],
            ['PATCH', 'students/{student}', ['absent' => true]],
            ['DELETE', 'students/{student}', null],
            ['POST', 'students/{student}/free', null],
            ['POST', 'students/{student}/restore', null],
        ] as [$method, $path, $body]) {
            yield "{$method} {$path}" => [$method, $path, $body];
        }
    }

    /**
     * @param array<string, mixed>|null $body
     */
    #[DataProvider('doors')]
    public function test_another_teachers_things_are_neither_shown_nor_changed(string $method, string $path, ?array $body): void
    {
        $before = $this->everything();
        $ids = [
            '{class}' => $this->lesson->text('classId'), '{grouping}' => $this->lesson->text('floor.id'), '{lesson}' => $this->lesson->text('id'),
            '{round}' => $this->lesson->text('round.id'), '{student}' => $this->lesson->text('students.0.id'), '{other}' => $this->lesson->text('students.1.id'),
            '{rule}' => $this->rule, '{variant}' => $this->variant,
        ];
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        $answer = $this->ask($method, '/api/staff/'.strtr($path, $ids), null === $body ? null : strtr(json_encode($body, \JSON_THROW_ON_ERROR), $ids), ['Idempotency-Key' => 'another-teacher']);
        self::assertSame(404, $answer->status, $answer->raw);
        self::assertStringNotContainsString('Student A', $answer->raw);
        self::assertStringNotContainsString('Where does the wall go?', $answer->raw);
        $this->asTeacher();
        self::assertSame($before, $this->everything());
    }

    /**
     * @return list<string> all that is shown of the class, its grouping, its lesson and its copies, but for the clock
     */
    private function everything(): array
    {
        $shown = [];
        foreach (['classes/'.$this->lesson->text('classId'), 'groupings/'.$this->lesson->text('floor.id'), 'lessons/'.$this->lesson->text('id'), 'rounds/'.$this->lesson->text('round.id').'/copies'] as $path) {
            $shown[] = (string) preg_replace('/"serverNow":\d+/', '', $this->ask('GET', "/api/staff/{$path}")->is(200)->raw);
        }

        return $shown;
    }
}
