<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Lesson;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * Lessons that are begun from another one.
 */
final class NextLessonTest extends AppTestCase
{
    private const WEEK = 7 * 86_400_000;

    public function test_two_next_lessons_of_a_class_are_never_at_the_same_moment(): void
    {
        $lesson = $this->readyLesson(4, 2);
        $at = $lesson->int('startsAt') + self::WEEK;
        $first = $this->next($lesson, $lesson->text('classId'), $at);
        $second = $this->next($lesson, $lesson->text('classId'), $at);
        self::assertSame([$at, $at + self::WEEK], [$first->int('startsAt'), $second->int('startsAt')]);
    }

    public function test_a_class_that_has_no_place_yet_meets_where_the_lesson_comes_from(): void
    {
        $lesson = $this->readyLesson(4, 2);
        $this->ask('PUT', "/api/staff/classes/{$lesson->text('classId')}/room-source", [
            'kind' => 'classroom',
            'mayRecord' => true,
            'takesIn' => true,
        ])->is(200);
        $other = $this->newLesson(4, '9H')->text('classId');
        self::assertFalse($this->ask('GET', "/api/staff/classes/{$other}/room-source")->at('takesIn'));
        self::assertSame('classroom', $this->next($lesson, $other, $lesson->int('startsAt'))->text('roomSource'));
        self::assertTrue($this->ask('GET', "/api/staff/classes/{$other}/room-source")->at('takesIn'));

        // A class that has one keeps it.
        $third = $this->newLesson(4, '9K')->text('classId');
        $this->ask('PUT', "/api/staff/classes/{$third}/room-source", ['kind' => 'ownLinks'])->is(200);
        self::assertSame('ownLinks', $this->next($lesson, $third, $lesson->int('startsAt'))->text('roomSource'));
    }

    private function next(Json $lesson, string $class, int $startsAt): Json
    {
        $made = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'Next',
            'minutes' => 45,
            'from' => $lesson->text('id'),
            'groups' => 'newPartners',
            'startsAt' => $startsAt,
        ])->is(200);

        return $this->ask('GET', '/api/staff/lessons/'.$made->text('id'))->is(200);
    }
}
