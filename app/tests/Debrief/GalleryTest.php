<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

use FreshHuddle\App\Tests\Support\Json;

/**
 * The gallery: all work open to the whole class, for a time; before and after there is no trace of it.
 */
final class GalleryTest extends DebriefTestCase
{
    /** @var list<string> */
    private array $tokens;
    /** One of the first group, and one of another. */
    private string $mine;
    private string $theirs;

    protected function setUp(): void
    {
        parent::setUp();
        $this->tokens = $this->workDone();
        $this->mine = $this->of(0);
        $this->theirs = $this->of(1);
        $this->write($this->theirs, $this->copyOf($this->theirs), 'decision', 'Along the quay.');
        $this->write($this->theirs, $this->copyOf($this->theirs), 'noticed', 'The cellars are full.');
    }

    public function test_everybody_looks_at_all_work_while_it_is_open_and_nobody_else(): void
    {
        $copy = $this->copyOf($this->theirs);
        $this->look($this->mine, '')->is(404);
        $this->look($this->mine, "/{$copy}")->is(404);
        $this->debrief('PUT', '/gallery', ['remarks' => false])->is(200);
        self::assertSame(['remarks' => false, 'until' => null], $this->seen()->at('gallery'));
        self::assertCount(2, $this->look($this->mine, '')->is(200)->list('copies'));
        $piece = $this->look($this->mine, "/{$copy}")->is(200);
        self::assertStringContainsString('Along the quay.', $piece->raw);
        self::assertSame($this->lesson->text('floor.groups.1.name'), $piece->text('work.group.name'));
        foreach (array_keys($this->lesson->list('students')) as $i) {
            self::assertStringNotContainsString($this->lesson->text("students.{$i}.name").'"', $piece->raw);
            self::assertStringNotContainsString($this->lesson->text("students.{$i}.id"), $piece->raw);
        }
        $strangers = $this->workDone();
        $this->look($strangers[0], '')->is(404);
        $this->look($strangers[0], "/{$copy}")->is(404);
    }

    public function test_nobody_writes_in_it_and_closed_it_is_gone(): void
    {
        $copy = $this->copyOf($this->theirs);
        $this->debrief('PUT', '/gallery', ['remarks' => true])->is(200);
        $this->asStudent($this->mine);
        $this->ask('PUT', "/api/student/copies/{$copy}/slots/decision", [
            'save' => '0192e4a0-0000-7000-8000-000000000001',
            'base' => '',
            'text' => 'Mine now',
        ])->is(404);
        $this->asTeacher();
        $this->debrief('DELETE', '/gallery')->is(200);
        self::assertNull($this->seen()->at('gallery'));
        $this->look($this->mine, '')->is(404);
        $this->look($this->mine, "/{$copy}")->is(404);
        $this->remark($this->mine, $copy, 'Too late')->is(404);
    }

    public function test_one_short_remark_each_beside_a_copy_which_its_group_sees(): void
    {
        $copy = $this->copyOf($this->theirs);
        $this->debrief('PUT', '/gallery', ['remarks' => false])->is(200);
        $this->remark($this->mine, $copy, 'Well seen')->is(404);
        $this->debrief('PUT', '/gallery', ['remarks' => true])->is(200);
        self::assertSame('Well seen', $this->remark($this->mine, $copy, ' Well  seen ')->is(200)->text('remark'));
        $this->remark($this->mine, $copy, 'Very well seen')->is(200);
        $own = $this->look($this->theirs, "/{$copy}");
        self::assertSame(['Very well seen'], array_column($own->list('remarks'), 'text'));
        self::assertSame([], $this->look($this->mine, "/{$copy}")->list('remarks'), 'not its to read');
        $this->remark($this->mine, $copy, str_repeat('x', 141))->is(422);
        $written = $this->debrief('GET');
        self::assertCount(1, $written->list('gallery.written'));
        $this->debrief('DELETE', '/gallery/remarks/'.$written->text('gallery.written.0.id'))->is(200);
        self::assertSame([], $this->look($this->theirs, "/{$copy}")->list('remarks'));
        $this->remark($this->mine, $copy, 'Again')->is(200);
        $this->remark($this->mine, $copy, '')->is(200);
        self::assertSame([], $this->debrief('GET')->list('gallery.written'), 'and theirs to take back');
    }

    public function test_it_closes_with_the_lesson_or_stays_open_until_a_date(): void
    {
        $this->debrief('PUT', '/gallery', ['remarks' => false])->is(200);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $this->look($this->mine, '')->is(404);
        $this->command($this->id, 'reopen')->is(200);
        $this->look($this->mine, '')->is(404);
        $this->debrief('PUT', '/gallery', ['remarks' => false, 'until' => 1_000 * (time() + 3_600)])->is(200);
        $this->command($this->id, 'end')->is(200);
        $this->look($this->mine, '')->is(200);
        self::assertNotNull($this->seen()->at('gallery.until'));
        $this->db()->executeStatement('UPDATE gallery SET until = 1000 WHERE closed_at IS NULL');
        $this->look($this->mine, '')->is(404);
        $this->db()->executeStatement('UPDATE gallery SET until = ?', [1_000 * (time() + 60)]);
        $this->debrief('DELETE', '/gallery')->is(200);
        $this->look($this->mine, '')->is(404);
    }

    public function test_there_is_nothing_to_look_at_before_groups_were_out(): void
    {
        $lesson = $this->readyLesson();
        $this->ask('PUT', '/api/staff/lessons/'.$lesson->text('id').'/debrief/gallery', ['remarks' => false])->is(422);
        $this->debrief('PUT', '/gallery', ['remarks' => false, 'until' => 1_000])->is(422);
    }

    private function look(string $token, string $path): Json
    {
        $this->asStudent($token);
        $seen = $this->ask('GET', "/api/student/gallery{$path}");
        $this->asTeacher();

        return $seen;
    }

    private function remark(string $token, string $copy, string $text): Json
    {
        $this->asStudent($token);
        $done = $this->ask('PUT', "/api/student/gallery/{$copy}/remark", ['text' => $text]);
        $this->asTeacher();

        return $done;
    }

    private function seen(): Json
    {
        $this->asStudent($this->mine);
        $seen = $this->ask('GET', '/api/student/debrief')->is(200);
        $this->asTeacher();

        return $seen;
    }

    private function of(int $group): string
    {
        foreach (array_keys($this->tokens) as $i) {
            $id = $this->lesson->text("students.{$i}.id");
            if (\in_array($id, $this->lesson->texts("floor.groups.{$group}.students"), true)) {
                return $this->tokens[$i];
            }
        }
        self::fail('no such group');
    }
}
