<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * Margin notes: beside a place in a copy, seen and answered by its group, and by nobody else.
 */
final class MarginTest extends AppTestCase
{
    private Json $lesson;

    /** @var array<int, string> a member's cookie by group */
    private array $member = [];
    private string $copy;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        foreach ([0, 1] as $i) {
            $this->member[$i] = $this->join($this->lesson, $this->lesson->text("floor.groups.{$i}.students.0"));
        }
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $copy = $this->db()->fetchOne('SELECT id FROM work_copy WHERE group_id = ?', [
            $this->lesson->text('floor.groups.0.id'),
        ]);
        self::assertIsString($copy);
        $this->copy = $copy;
    }

    public function test_its_group_sees_a_note_beside_the_place_and_answers_and_the_teacher_sees_both(): void
    {
        $note = $this->write('decision', 'Why there?')->is(200);
        self::assertSame(['Ines Halvorsen', null, ''], [$note->text('by'), $note->at('seenAt'), $note->at('answer')]);
        $seen = $this->asked(0, 'GET', "/api/student/copies/{$this->copy}")->is(200);
        self::assertSame(['decision', 'Why there?'], [$seen->text('notes.0.slot'), $seen->text('notes.0.text')]);
        $this->asked(0, 'POST', "/api/student/copies/{$this->copy}/notes/{$note->text('id')}/seen")->is(204);
        $this->asked(0, 'PUT', "/api/student/copies/{$this->copy}/notes/{$note->text('id')}", [
            'answer' => '  Because of the mill.  ',
        ])->is(200);
        $this->asTeacher();
        $copies = $this->ask('GET', '/api/staff/rounds/'.$this->lesson->text('round.id').'/copies')->is(200)->raw;
        self::assertStringContainsString('"answer":"Because of the mill."', $copies);
        self::assertStringContainsString($this->lesson->text('floor.groups.0.students.0'), $copies);
        self::assertIsInt($this->db()->fetchOne('SELECT seen_at FROM margin_note'));
        $this->asked(0, 'PUT', "/api/student/copies/{$this->copy}/notes/{$note->text('id')}", ['answer' => ''])->is(
            200,
        );
        self::assertNull($this->db()->fetchOne('SELECT answered_by FROM margin_note'), 'an answer can be taken back');
    }

    public function test_another_group_neither_sees_nor_answers_it(): void
    {
        $note = $this->write('decision', 'Why there?')->text('id');
        $this->asked(1, 'GET', "/api/student/copies/{$this->copy}")->is(404);
        $this->asked(1, 'PUT', "/api/student/copies/{$this->copy}/notes/{$note}", ['answer' => 'x'])->is(404);
        $this->asked(1, 'POST', "/api/student/copies/{$this->copy}/notes/{$note}/seen")->is(404);
        $own = $this->db()->fetchOne('SELECT id FROM work_copy WHERE group_id = ?', [
            $this->lesson->text('floor.groups.1.id'),
        ]);
        \assert(\is_string($own));
        $this->asked(1, 'PUT', "/api/student/copies/{$own}/notes/{$note}", ['answer' => 'x'])->is(404);
        self::assertSame('', $this->db()->fetchOne('SELECT answer FROM margin_note'));
    }

    public function test_a_note_to_one_members_answer_stands_where_that_answer_stands(): void
    {
        $ada = $this->lesson->text('floor.groups.0.students.0');
        $this->write('noticed', 'Say more.', $ada)->is(200);
        self::assertSame($ada, $this->asked(0, 'GET', "/api/student/copies/{$this->copy}")->text('notes.0.owner'));
        $this->write('noticed', 'Not theirs.', $this->lesson->text('floor.groups.1.students.0'))->is(422);
        $this->write('decision', 'Nobody’s own.', $ada)->is(422);
        $this->write('nosuch', 'Nowhere.')->is(422);
        $this->write('decision', ' ')->is(422);
        $this->write('decision', str_repeat('x', 601))->is(422);
    }

    public function test_it_is_wiped_off_twice_without_harm(): void
    {
        $note = $this->write('decision', 'Why there?')->text('id');
        $this->ask('DELETE', "/api/staff/margin-notes/{$note}")->is(204);
        $this->ask('DELETE', "/api/staff/margin-notes/{$note}")->is(404);
        self::assertSame([], $this->asked(0, 'GET', "/api/student/copies/{$this->copy}")->list('notes'));
    }

    private function write(string $slot, string $text, ?string $owner = null): Json
    {
        $this->asTeacher();

        return $this->ask('POST', "/api/staff/copies/{$this->copy}/notes", [
            'slot' => $slot,
            'text' => $text,
            'owner' => $owner,
        ]);
    }

    /**
     * @param array<string, mixed>|null $body
     */
    private function asked(int $group, string $method, string $path, ?array $body = null): Json
    {
        $this->asStudent($this->member[$group]);

        return $this->ask($method, $path, $body);
    }
}
