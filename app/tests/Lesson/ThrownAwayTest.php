<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Lesson;

use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * A class or a lesson is thrown away with one press, and is back with the next, with all it had.
 */
final class ThrownAwayTest extends AppTestCase
{
    public function test_a_lesson_goes_and_comes_back_with_its_groups_and_its_work(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->ask('DELETE', "/api/staff/lessons/{$id}")->is(204);
        $this->ask('GET', "/api/staff/lessons/{$id}")->is(404);
        $this->ask('PATCH', '/api/staff/segments/'.$lesson->text('round.segmentId'), ['minutes' => 5])->is(404);
        self::assertSame([], $this->ask('GET', '/api/staff/lessons')->list(''));
        $this->ask('POST', "/api/staff/lessons/{$id}/restore")->is(204);
        $back = $this->ask('GET', "/api/staff/lessons/{$id}")->is(200);
        self::assertSame($lesson->at('floor.groups'), $back->at('floor.groups'));
        self::assertSame($lesson->at('copies'), $back->at('copies'));
        self::assertTrue($back->at('current'), 'students come into it again');
    }

    public function test_its_students_are_in_no_lesson_meanwhile(): void
    {
        $lesson = $this->readyLesson();
        $token = $this->join($lesson, $lesson->text('floor.groups.0.students.0'));
        $this->ask('DELETE', '/api/staff/lessons/'.$lesson->text('id'))->is(204);
        $this->asStudent($token);
        self::assertNull($this->ask('GET', '/api/student/now')->is(200)->at('lesson'));
    }

    public function test_not_while_its_groups_are_at_work(): void
    {
        $lesson = $this->readyLesson();
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $this->ask('DELETE', '/api/staff/lessons/'.$lesson->text('id'))->is(409);
        $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->is(200);
    }

    public function test_a_class_goes_with_its_door_word_and_comes_back(): void
    {
        $lesson = $this->readyLesson();
        $class = $lesson->text('classId');
        $token = $this->join($lesson, $lesson->text('floor.groups.0.students.0'));
        $this->ask('DELETE', "/api/staff/classes/{$class}")->is(204);
        $this->ask('GET', "/api/staff/classes/{$class}")->is(404);
        $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->is(404);
        self::assertSame([], $this->ask('GET', '/api/staff/classes')->list(''));
        $this->asStudent($token);
        $this->ask('GET', '/api/student/now')->is(401);
        $this->ask('POST', '/api/student/join', ['doorWord' => $lesson->text('doorWord'), 'name' => 'Student A'])->is(
            404,
        );
        $this->asTeacher();
        $this->ask('POST', "/api/staff/classes/{$class}/restore")->is(204);
        $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->is(200);
    }

    public function test_nobody_throws_away_or_brings_back_what_is_not_theirs(): void
    {
        $lesson = $this->readyLesson();
        $class = $lesson->text('classId');
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        $this->ask('DELETE', "/api/staff/classes/{$class}")->is(404);
        $this->ask('DELETE', '/api/staff/lessons/'.$lesson->text('id'))->is(404);
        $this->asTeacher();
        $this->ask('DELETE', "/api/staff/classes/{$class}")->is(204);
        $this->asTeacher($this->newTeacher('pia@larkmouth.example'));
        $this->ask('POST', "/api/staff/classes/{$class}/restore")->is(404);
    }

    public function test_what_was_deleted_is_found_for_thirty_days_by_those_who_may_bring_it_back(): void
    {
        $lesson = $this->newLesson(2, '9D');
        $this->ask('DELETE', '/api/staff/lessons/'.$lesson->text('id'))->is(204);
        $gone = $this->newLesson(2, '9E')->text('classId');
        $this->ask('DELETE', "/api/staff/classes/{$gone}")->is(204);
        $found = $this->ask('GET', '/api/staff/deleted')->is(200);
        $kinds = [];
        foreach ($found->list('') as $one) {
            \assert(\is_array($one) && \is_string($one['kind']) && \is_string($one['id']));
            $kinds[$one['id']] = $one['kind'];
        }
        self::assertSame(['class', 'lesson'], [$kinds[$gone], $kinds[$lesson->text('id')]]);
        $this->ask('POST', "/api/staff/classes/{$gone}/restore")->is(204);
        self::assertStringNotContainsString($gone, $this->ask('GET', '/api/staff/deleted')->raw);
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        self::assertSame([], $this->ask('GET', '/api/staff/deleted')->at(''));
        $this->asTeacher();
        $this->db()->executeStatement("UPDATE lesson SET removed_at = now() - interval '31 days' WHERE id = ?", [
            $lesson->text('id'),
        ]);
        $this->em()->clear();
        self::assertStringNotContainsString($lesson->text('id'), $this->ask('GET', '/api/staff/deleted')->raw);
    }

    public function test_a_worksheet_goes_out_of_the_list_stays_in_lessons_that_use_it_and_can_be_brought_back_for_30_days(): void
    {
        $lesson = $this->readyLesson();
        $original = $lesson->text('handOut.0.original');
        $this->ask('DELETE', "/api/staff/originals/{$original}")->is(204);
        self::assertSame([], $this->ask('GET', '/api/staff/originals')->list(''));
        self::assertSame(
            $original,
            $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->text('handOut.0.original'),
        );
        self::assertSame(
            ['District sheet'],
            array_column($this->ask('GET', '/api/staff/originals/deleted')->list(''), 'title'),
        );
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        self::assertSame([], $this->ask('GET', '/api/staff/originals/deleted')->list(''));
        $this->ask('DELETE', "/api/staff/originals/{$original}")->is(404);
        $this->ask('POST', "/api/staff/originals/{$original}/restore")->is(404);
        $this->asTeacher();
        $this->ask('POST', "/api/staff/originals/{$original}/restore")->is(204);
        self::assertSame(
            ['District sheet'],
            array_column($this->ask('GET', '/api/staff/originals')->list(''), 'title'),
        );
    }

    public function test_after_30_days_a_worksheet_that_no_lesson_uses_is_gone_for_good(): void
    {
        $used = $this->readyLesson()->text('handOut.0.original');
        $unused = $this->ask('POST', '/api/staff/originals', self::original('Nobody uses it', []))
            ->is(200)
            ->text('id');
        foreach ([$used, $unused] as $original) {
            $this->ask('DELETE', "/api/staff/originals/{$original}")->is(204);
        }
        $this->service(Cupboard::class)->forgetOld();
        self::assertCount(2, $this->ask('GET', '/api/staff/originals/deleted')->list(''));
        $this->db()->executeStatement('UPDATE original SET removed_at = removed_at - 31 * 86400000::bigint');
        $this->service(Cupboard::class)->forgetOld();
        self::assertSame([], $this->ask('GET', '/api/staff/originals/deleted')->list(''));
        self::assertSame([$used], $this->db()->fetchFirstColumn('SELECT id FROM original'));
    }

    public function test_the_class_page_and_the_calendar_of_what_is_deleted_or_archived_open_nothing(): void
    {
        $lesson = $this->readyLesson();
        $feed = (string) parse_url($this->ask('GET', '/api/staff/calendar')->is(200)->text('address'), \PHP_URL_PATH);
        $wall = '/api'.$lesson->text('classPage');
        $shows = function () use ($feed, $wall, $lesson): array {
            $this->asNobody();
            $this->client->request('GET', $feed);
            $calendar = (string) $this->client->getResponse()->getContent();
            $this->ask('GET', $wall);
            $status = $this->client->getResponse()->getStatusCode();
            $this->asTeacher();

            // A program that keeps calendars has to be told that the lesson is off: it is cancelled, and leads nowhere.
            return [
                str_contains($calendar, 'STATUS:CONFIRMED') || str_contains($calendar, $lesson->text('doorWord')),
                200 === $status,
            ];
        };
        self::assertSame([true, true], $shows());
        $class = $lesson->text('classId');
        foreach (
            [
                [
                    'DELETE',
                    "/api/staff/lessons/{$lesson->text('id')}",
                    null,
                    'POST',
                    "/api/staff/lessons/{$lesson->text('id')}/restore",
                    null,
                ],
                ['DELETE', "/api/staff/classes/{$class}", null, 'POST', "/api/staff/classes/{$class}/restore", null],
                [
                    'POST',
                    "/api/staff/classes/{$class}/archive",
                    ['archived' => true],
                    'POST',
                    "/api/staff/classes/{$class}/archive",
                    ['archived' => false],
                ],
            ] as [$verb, $path, $body, $back, $there, $again]
        ) {
            $this->ask($verb, $path, $body);
            self::assertSame([false, false], $shows(), "{$verb} {$path}");
            $this->ask($back, $there, $again);
            self::assertSame([true, true], $shows(), "{$back} {$there}");
        }
    }
}
