<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Classes and their students.
 */
final class RosterTest extends AppTestCase
{
    public function test_a_class_is_made_by_pasting_names(): void
    {
        $class = $this->make("Name\nAda Lund\n\nBen\nada lund")->is(200);
        self::assertSame(['Ada Lund', 'Ben'], self::names($class));
        self::assertMatchesRegularExpression('/^[a-z]+ [a-z]+$/', $class->text('doorWord'));
        self::assertSame('9G', $this->ask('GET', '/api/staff/classes')->text('0.name'));
    }

    public function test_a_new_class_reads_a_paste_as_any_list_is_read(): void
    {
        $paste = "Name;Table;Level\nAda Kovač;A;3\n123;;\nada kovač;B;1\n";
        $preview = $this->ask('POST', '/api/staff/classes/new/import/preview', ['text' => $paste])->is(200);
        self::assertSame([1, 2], [$preview->int('added'), $preview->int('refused')]);
        self::assertSame('table', $preview->text('columns.1.kind'));
        self::assertSame([], $this->ask('GET', '/api/staff/classes')->list(''), 'nothing is made by looking');
        $id = $this->make('')->text('id');
        self::assertSame(
            $preview->list('lines'),
            $this->ask('POST', "/api/staff/classes/{$id}/import", ['text' => $paste])
                ->is(200)
                ->list('lines'),
        );
        self::assertSame('A', $this->ask('GET', "/api/staff/classes/{$id}")->text('students.0.table'));
    }

    public function test_more_names_are_added_at_the_end_and_never_doubled(): void
    {
        $id = $this->make("Ada\nBen")->text('id');
        self::assertSame(
            1,
            $this->ask('POST', "/api/staff/classes/{$id}/import", ['text' => "Name\nBen\nChi"])->int('same'),
        );
        self::assertSame(['Ada', 'Ben', 'Chi'], self::names($this->ask('GET', "/api/staff/classes/{$id}")));
    }

    public function test_twelve_hundred_fit_and_one_more_adds_nobody(): void
    {
        $names = implode("\n", array_map(static fn (int $i): string => "Student {$i}", range(1, 1_200)));
        $id = $this->make($names)->is(200)->text('id');
        $this->ask('POST', "/api/staff/classes/{$id}/import", ['text' => "Name\nOne\nTwo"])->is(422);
        self::assertCount(1_200, self::names($this->ask('GET', "/api/staff/classes/{$id}")));
        self::assertSame(
            'names',
            $this->make($names."\nOne more")
                ->is(422)
                ->text('errors.0.field'),
        );
    }

    public function test_students_are_renamed_marked_absent_removed_and_brought_back(): void
    {
        $class = $this->make("Ada\nBen");
        $ben = $class->text('students.1.id');
        $this->ask('PATCH', "/api/staff/students/{$ben}", ['name' => 'Benedikt'])->is(204);
        $this->ask('PATCH', "/api/staff/students/{$ben}", ['absent' => true])->is(204);
        self::assertTrue($this->again($class)->at('students.1.absent'));
        self::assertSame('Benedikt', $this->again($class)->text('students.1.name'));
        $this->ask('DELETE', "/api/staff/students/{$ben}")->is(204);
        self::assertSame(['Ada'], self::names($this->again($class)));
        $this->ask('POST', "/api/staff/students/{$ben}/restore")->is(204);
        self::assertSame(['Ada', 'Benedikt'], self::names($this->again($class)));
    }

    public function test_two_students_cannot_have_one_name(): void
    {
        $ben = $this->make("Ada\nBen")->text('students.1.id');
        self::assertSame(
            'name',
            $this->ask('PATCH', "/api/staff/students/{$ben}", ['name' => ' ADA '])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->ask('PATCH', "/api/staff/students/{$ben}", ['name' => ' '])->is(422);
        $this->ask('PATCH', "/api/staff/students/{$ben}", ['name' => str_repeat('x', 121)])->is(422);
    }

    #[DataProvider('hostile')]
    public function test_hostile_input_gets_a_clear_answer_and_changes_nothing(string $body, int $status): void
    {
        $answer = $this->ask('POST', '/api/staff/classes', $body)->is($status);
        self::assertNotSame('', $answer->text('title'));
        self::assertStringNotContainsString('Exception', $answer->raw);
        self::assertSame([], $this->ask('GET', '/api/staff/classes')->list(''));
    }

    /**
     * @return iterable<string, array{string, int}>
     */
    public static function hostile(): iterable
    {
        yield 'no JSON' => ['{{', 400];
        yield 'nothing' => ['', 400];
        yield 'a list' => ['[]', 422];
        yield 'no name' => ['{"names":"Ada"}', 422];
        yield 'a name of spaces' => ['{"name":"   "}', 422];
        yield 'a name of another type' => ['{"name":["x"]}', 422];
        yield 'a very long name' => ['{"name":"'.str_repeat('x', 81).'"}', 422];
        yield 'a very long list' => ['{"name":"9G","names":"'.str_repeat('x', 100_001).'"}', 422];
        yield 'half a sign' => ['{"name":"9G","names":"\ud800"}', 400];
        yield 'deep nesting' => ['{"name":'.str_repeat('[', 600).str_repeat(']', 600).'}', 400];
    }

    public function test_anothers_class_is_not_there(): void
    {
        $class = $this->make('Ada');
        [$id, $ada] = [$class->text('id'), $class->text('students.0.id')];
        $this->asTeacher($this->newTeacher('other@larkmouth.example'));
        $this->ask('GET', "/api/staff/classes/{$id}")->is(404);
        $this->ask('PATCH', "/api/staff/classes/{$id}", ['name' => 'Mine'])->is(404);
        $this->ask('POST', "/api/staff/classes/{$id}/import", ['text' => "Name\nEve"])->is(404);
        $this->ask('POST', "/api/staff/classes/{$id}/lessons", ['title' => 'x', 'minutes' => 50])->is(404);
        $this->ask('PATCH', "/api/staff/students/{$ada}", ['name' => 'Eve'])->is(404);
        $this->ask('DELETE', "/api/staff/students/{$ada}")->is(404);
        $this->ask('POST', "/api/staff/students/{$ada}/free")->is(404);
        self::assertSame([], $this->ask('GET', '/api/staff/classes')->list(''));
    }

    private function make(string $names): Json
    {
        return $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => $names]);
    }

    private function again(Json $class): Json
    {
        return $this->ask('GET', '/api/staff/classes/'.$class->text('id'));
    }

    /**
     * @return list<string>
     */
    private static function names(Json $class): array
    {
        return array_map(
            static fn (int $i): string => $class->text("students.{$i}.name"),
            array_keys($class->list('students')),
        );
    }
}
