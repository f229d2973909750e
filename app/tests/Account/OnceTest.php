<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * Two quick presses create one thing; the same key with another body creates nothing, and says so.
 */
final class OnceTest extends AppTestCase
{
    private const KEY = ['Idempotency-Key' => 'form-0001'];

    public function test_two_presses_create_one_class_and_one_lesson(): void
    {
        $class = $this->ask('POST', '/api/staff/classes', ['name' => '9G'], self::KEY)
            ->is(200)
            ->text('id');
        self::assertSame(
            $class,
            $this->ask('POST', '/api/staff/classes', ['name' => '9G'], self::KEY)
                ->is(200)
                ->text('id'),
        );
        self::assertCount(1, $this->ask('GET', '/api/staff/classes')->list(''));
        $lesson = ['title' => 'Tides', 'minutes' => 50];
        $ids = [];
        foreach ([1, 2] as $press) {
            $ids[] = $this->ask('POST', "/api/staff/classes/{$class}/lessons", $lesson, [
                'Idempotency-Key' => 'form-0002',
            ])
                ->is(200)
                ->text('id');
        }
        self::assertSame($ids[0], $ids[1]);
        self::assertCount(1, $this->ask('GET', '/api/staff/lessons')->list(''));
    }

    public function test_the_same_key_with_another_body_is_refused(): void
    {
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], self::KEY)->is(200);
        $this->ask('POST', '/api/staff/classes', ['name' => '9H'], self::KEY)->is(422);
        self::assertCount(1, $this->ask('GET', '/api/staff/classes')->list(''));
        $lesson = $this->readyLesson();
        $commands = '/api/staff/lessons/'.$lesson->text('id').'/commands';
        $this->ask('POST', $commands, ['kind' => 'say', 'text' => 'Two minutes.'], self::KEY)->is(200);
        $this->ask('POST', $commands, ['kind' => 'say', 'text' => 'One minute.'], self::KEY)->is(422);
    }

    public function test_what_was_refused_can_be_pressed_again_and_anothers_key_is_their_own(): void
    {
        $this->ask('POST', '/api/staff/classes', ['name' => ' '], self::KEY)->is(422);
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Idempotency-Key' => 'form-0003'])->is(200);
        $this->asTeacher($this->newTeacher('tomas@larkmouth.example'));
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Idempotency-Key' => 'form-0003'])->is(200);
        self::assertCount(1, $this->ask('GET', '/api/staff/classes')->list(''));
        $this->ask('POST', '/api/staff/classes', ['name' => '9K'], ['Idempotency-Key' => 'x'])->is(400);
    }
}
