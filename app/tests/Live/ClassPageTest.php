<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * The page for the wall: open to whoever has its address, and holding nothing a whole class may not see.
 */
final class ClassPageTest extends AppTestCase
{
    use ClockSensitiveTrait;

    private Json $lesson;
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        self::mockTime();
        $this->lesson = $this->readyLesson(6, 2);
        $this->path = '/api'.$this->lesson->text('classPage');
    }

    public function test_it_shows_the_way_in_and_nobodys_group_before_groups_are_shown(): void
    {
        $this->asNobody();
        $page = $this->ask('GET', $this->path)->is(200);
        self::assertSame(
            [$this->lesson->text('doorWord'), $this->lesson->text('title'), []],
            [$page->text('doorWord'), $page->text('title'), $page->list('groups')],
        );
        self::assertStringNotContainsString('Student A', $page->raw);
    }

    public function test_once_groups_are_shown_everybody_finds_their_name(): void
    {
        $this->ask('POST', '/api/staff/students/'.$this->lesson->text('floor.groups.0.students.0').'/absent', [
            'absent' => true,
        ])->is(204);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->asNobody();
        $page = $this->ask('GET', $this->path)->is(200);
        self::assertCount(2, $page->list('groups'));
        $names = [...$page->texts('groups.0.names'), ...$page->texts('groups.1.names')];
        self::assertCount(5, $names, 'without who is absent');
        self::assertNotContains(
            $this->nameOf($this->lesson, $this->lesson->text('floor.groups.0.students.0')),
            $names,
        );
        self::assertSame(
            ['names', 'name', 'mark'],
            array_values(array_intersect(['names', 'name', 'mark'], array_keys((array) $page->at('groups.0')))),
        );
    }

    public function test_it_says_nothing_that_is_not_for_everybody(): void
    {
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $raw = $this->ask('GET', $this->path)->is(200)->raw;
        foreach (
            [
                'students',
                'copies',
                'rooms',
                'attributes',
                'absent',
                'notice',
                '/in/',
                $this->lesson->text('classId'),
                $this->lesson->text('students.0.id'),
                $this->lesson->text('copies.0.id'),
            ] as $secret
        ) {
            self::assertStringNotContainsString($secret, $raw);
        }
    }

    public function test_when_the_lesson_is_over_names_are_gone(): void
    {
        $id = $this->lesson->text('id');
        $this->command($id, 'sendOut')->is(200);
        $this->command($id, 'callBack', 5)->is(200);
        self::mockTime('+1 minute');
        $this->command($id, 'end')->is(200);
        self::assertSame(
            [true, []],
            [$this->ask('GET', $this->path)->at('over'), $this->ask('GET', $this->path)->list('groups')],
        );
        $this->ask('DELETE', "/api/staff/lessons/{$id}")->is(204);
        $this->ask('GET', $this->path)->is(404);
    }

    public function test_a_new_address_ends_the_one_before(): void
    {
        $id = $this->lesson->text('id');
        $this->ask('POST', "/api/staff/lessons/{$id}/class-page")->is(204);
        $this->ask('GET', $this->path)->is(404);
        $now = '/api'.$this->ask('GET', "/api/staff/lessons/{$id}")->text('classPage');
        self::assertNotSame($this->path, $now);
        $this->asNobody();
        $this->ask('GET', $now)->is(200);
    }

    public function test_of_a_class_that_is_put_away_or_deleted_and_of_a_deleted_lesson_it_shows_nothing(): void
    {
        foreach (['school_class SET archived_at', 'school_class SET removed_at', 'lesson SET removed_at'] as $put) {
            $id = str_starts_with($put, 'lesson') ? $this->lesson->text('id') : $this->lesson->text('classId');
            $this->asNobody();
            $this->ask('GET', $this->path)->is(200);
            $this->db()->executeStatement("UPDATE {$put} = now() WHERE id = ?", [$id]);
            $this->ask('GET', $this->path)->is(404);
            $this->db()->executeStatement("UPDATE {$put} = NULL WHERE id = ?", [$id]);
        }
    }

    public function test_an_address_cannot_be_guessed_or_made_from_another(): void
    {
        $other = '/api'.$this->newLesson(2, '9H')->text('classPage');
        [$mine, $signature] = explode('.', $this->path);
        $this->asNobody();
        foreach (
            [
                $mine.'.'.strrev($signature),
                $mine.'.'.explode('.', $other)[1],
                explode('.', $other)[0].'.'.$signature,
                $mine.'.',
                $mine,
                '/api/class-page/x',
                $mine.'.'.str_repeat('A', 22),
                '/api/class-page/'.str_repeat('z', 22).'.'.$signature,
            ] as $path
        ) {
            $this->ask('GET', $path)->is(404);
        }
    }
}
