<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\DryRun;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * A lesson is rehearsed as it is planned, and nothing of it changes.
 */
final class RehearsalTest extends AppTestCase
{
    public function test_it_says_what_is_likely_to_come_of_each_round(): void
    {
        $lesson = $this->readyLesson(16, 4);
        $this->setRound($lesson->text('id'), ['callBackSeconds' => 60]);
        $rehearsed = $this->rehearse($lesson);
        self::assertGreaterThan(0, $rehearsed->int('times'));
        self::assertCount(1, $rehearsed->list('rounds'));
        self::assertSame(4, $rehearsed->int('rounds.0.groups'));
        self::assertGreaterThanOrEqual(60, $rehearsed->int('rounds.0.backSeconds'));
        self::assertSame($rehearsed->raw, $this->rehearse($lesson)->raw, 'twice the same');
    }

    public function test_what_it_finds_is_said_as_the_ready_check_says_it(): void
    {
        $lesson = $this->readyLesson(60, 20);
        $this->setRound($lesson->text('id'), ['callBackSeconds' => 60, 'minutes' => 5]);
        $found = $this->rehearse($lesson)->list('findings');
        $says = array_column($found, 'says', 'check');
        self::assertArrayHasKey('unvisited', $says);
        self::assertIsString($says['unvisited']);
        self::assertMatchesRegularExpression(
            '/^You wouldn’t get to \d+ of 20 groups in 5 minutes\.$/',
            $says['unvisited'],
        );
        self::assertContains('order', array_column($found, 'mend'));
    }

    public function test_without_students_or_groups_there_is_nothing_to_rehearse(): void
    {
        $class = $this->ask('POST', '/api/staff/classes', ['name' => 'Empty', 'names' => ''])->text('id');
        $lesson = $this->ask('POST', "/api/staff/classes/{$class}/lessons", ['title' => 'Nothing', 'minutes' => 50]);
        self::assertSame(0, $this->rehearse($lesson)->int('times'));
    }

    public function test_what_has_been_out_is_rehearsed_no_more(): void
    {
        $lesson = $this->readyLesson(8, 2);
        self::assertCount(1, $this->rehearse($lesson)->list('rounds'));
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        self::assertSame([], $this->rehearse($lesson)->list('rounds'));
    }

    public function test_it_changes_nothing(): void
    {
        $lesson = $this->readyLesson(8, 2);
        $count = fn (): array => array_map(
            fn (string $table): mixed => $this->db()->fetchOne("SELECT count(*) FROM {$table}"),
            ['live_event', 'due_task', 'run', 'work_copy', 'presence'],
        );
        $before = $count();
        $this->rehearse($lesson);
        self::assertSame($before, $count());
    }

    public function test_it_is_for_those_who_teach_there(): void
    {
        $lesson = $this->readyLesson(4, 2);
        $this->asTeacher($this->newTeacher('someone@else.example'));
        $this->ask('GET', "/api/staff/lessons/{$lesson->text('id')}/rehearsal")->is(404);
        $this->asNobody();
        $this->ask('GET', "/api/staff/lessons/{$lesson->text('id')}/rehearsal")->is(401);
    }

    private function rehearse(Json $lesson): Json
    {
        $this->asTeacher();

        return $this->ask('GET', "/api/staff/lessons/{$lesson->text('id')}/rehearsal")->is(200);
    }
}
