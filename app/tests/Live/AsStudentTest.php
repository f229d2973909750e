<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * The teacher sees any student's page at any moment: the same that the student gets when it has come.
 */
final class AsStudentTest extends AppTestCase
{
    private Json $lesson;
    private string $student;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $this->student = $this->lesson->text('floor.groups.0.students.0');
    }

    public function test_it_is_what_the_student_gets_when_the_moment_has_come(): void
    {
        $seen = $this->at('out');
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->asStudent($this->join($this->lesson, $this->student));
        $real = $this->ask('GET', '/api/student/now')->is(200);
        foreach (
            [
                'name',
                'className',
                'lessonTitle',
                'group.name',
                'group.number',
                'group.seat',
                'group.role',
                'group.task',
                'group.members',
                'segment.kind',
                'segment.instructions',
                'over',
            ] as $what
        ) {
            self::assertSame($real->at($what), $seen->at("now.{$what}"), $what);
        }
        self::assertSame($real->text('group.copies.0.title'), $seen->text('sheets.0.title'));
        $copy = $this->ask('GET', '/api/student/copies/'.$real->text('group.copies.0.id'))->is(200);
        self::assertSame($copy->at('pages'), $seen->at('sheets.0.pages'), 'and the sheet is the one they get');
    }

    public function test_before_groups_are_shown_the_page_shows_none(): void
    {
        $seen = $this->at('before');
        self::assertSame([null, []], [$seen->at('now.group'), $seen->list('sheets')]);
        self::assertNull($this->at('before')->at('now.moments.outAt'));
    }

    public function test_each_moment_of_a_round_is_the_phase_it_says(): void
    {
        foreach (
            ['looking' => ['outAt', 1], 'comingBack' => ['backAt', 1], 'back' => ['backAt', -1]] as $moment => [
                $what,
                $sign,
            ]
        ) {
            $seen = $this->at($moment);
            self::assertSame($sign, $seen->int("now.moments.{$what}") <=> $seen->int('now.serverNow'), $moment);
        }
    }

    public function test_a_segment_that_is_no_round_has_its_words_and_no_group(): void
    {
        $briefing = $this->lesson->text('order.segments.0.id');
        $seen = $this->ask('GET', "/api/staff/segments/{$briefing}/as/{$this->student}/before")->is(200);
        self::assertSame(['briefing', null], [$seen->text('now.segment.kind'), $seen->at('now.group')]);
    }

    public function test_looking_changes_nothing_and_asks_for_nobody_elses(): void
    {
        $counts = fn (): array => (array) $this->db()->fetchAssociative(
            'SELECT (SELECT COUNT(*) FROM presence) AS presence, (SELECT COUNT(*) FROM live_event) AS events, (
                SELECT COUNT(*) FROM run) AS runs',
        );
        $before = $counts();
        $this->at('out');
        self::assertSame($before, $counts());
        $other = $this->newLesson(2, '9H');
        $segment = $this->lesson->text('round.segmentId');
        $this->ask('GET', "/api/staff/segments/{$segment}/as/".$other->text('students.0.id').'/out')->is(404);
        $this->ask('GET', "/api/staff/segments/{$segment}/as/{$this->student}/yesterday")->is(404);
    }

    private function at(string $moment): Json
    {
        return $this->ask(
            'GET',
            '/api/staff/segments/'.$this->lesson->text('round.segmentId')."/as/{$this->student}/{$moment}",
        )->is(200);
    }
}
