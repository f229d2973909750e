<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Uid\Uuid;

/**
 * A lesson whose groups have worked and are back.
 */
abstract class DebriefTestCase extends AppTestCase
{
    protected Json $lesson;
    protected string $id;

    /**
     * @param int $students who come in, each on a device
     *
     * @return list<string> the cookies of their devices, in the order of the lesson's students
     */
    protected function workDone(int $students = 6, int $groups = 2, int $come = 6): array
    {
        $this->lesson = $this->readyLesson($students, $groups);
        $this->id = $this->lesson->text('id');
        $tokens = [];
        for ($i = 0; $i < $come; ++$i) {
            $tokens[] = $this->join($this->lesson, $this->lesson->text("students.{$i}.id"));
        }
        $this->setRound($this->id, ['lookSeconds' => 0]);
        $this->command($this->id, 'sendOut')->is(200);

        return $tokens;
    }

    protected function everybodyBack(): void
    {
        $this->command($this->id, 'callBack', 0)->is(200);
    }

    /**
     * On to the share-out, as a lesson has one at its end.
     */
    protected function shareOut(): void
    {
        $segments = $this->ask('GET', "/api/staff/lessons/{$this->id}")->list('order.segments');
        foreach ($segments as $segment) {
            if (\is_array($segment) && 'shareOut' === $segment['kind'] && \is_string($segment['id'])) {
                $this->ask(
                    'POST',
                    "/api/staff/lessons/{$this->id}/commands",
                    ['kind' => 'begin', 'segment' => $segment['id']],
                    ['Idempotency-Key' => Uuid::v4()->toRfc4122()],
                )->is(200);

                return;
            }
        }
        self::fail('a lesson has a share-out');
    }

    /**
     * @param array<string, mixed> $body
     */
    protected function debrief(string $method, string $path = '', array $body = []): Json
    {
        return $this->ask($method, "/api/staff/lessons/{$this->id}/debrief{$path}", [] === $body ? null : $body);
    }

    protected function write(string $token, string $copy, string $slot, string $text, string $base = ''): void
    {
        $this->asStudent($token);
        $this->ask('PUT', "/api/student/copies/{$copy}/slots/{$slot}", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => $base,
            'text' => $text,
        ])->is(200);
        $this->asTeacher();
    }

    /**
     * @return string the copy of a student's group
     */
    protected function copyOf(string $token): string
    {
        $this->asStudent($token);
        $copy = $this->ask('GET', '/api/student/now')->text('group.copies.0.id');
        $this->asTeacher();

        return $copy;
    }

    /**
     * @param array<string, mixed> $command
     */
    protected function give(array $command): void
    {
        $this->asTeacher();
        $this->ask('POST', "/api/staff/lessons/{$this->id}/commands", $command, [
            'Idempotency-Key' => Uuid::v4()->toRfc4122(),
        ])->is(200);
    }
}
