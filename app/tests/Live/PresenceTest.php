<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\PresenceStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * What the teacher is told of where everybody is.
 */
final class PresenceTest extends AppTestCase
{
    use ClockSensitiveTrait;

    public function test_a_silent_page_becomes_a_lost_student_and_the_record_says_when(): void
    {
        self::mockTime();
        $lesson = $this->readyLesson();
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $student = $lesson->text('floor.groups.0.students.0');
        $this->join($lesson, $student);
        $this->command($lesson->text('id'), 'sendOut');
        $this->work();
        self::assertSame(['onTheWay', 'page'], $this->where($lesson, $student));
        self::mockTime('+31 seconds');
        $this->service(PresenceStore::class)->pageIsAlive($student);
        $this->work();
        self::assertSame(['leftBehind', 'page'], $this->where($lesson, $student));
        self::mockTime('+46 seconds');
        $this->work();
        self::assertSame(['lost', 'silent'], $this->where($lesson, $student));
        $kinds = $this->db()->fetchFirstColumn("SELECT data->>'place' FROM live_event WHERE lesson_id = ? AND kind = 'whereaboutsChanged' ORDER BY seq", [$lesson->text('id')]);
        self::assertSame(['onTheWay', 'leftBehind', 'lost'], $kinds);
    }

    public function test_a_student_who_never_came_is_not_written_into_the_record_again_and_again(): void
    {
        $lesson = $this->readyLesson();
        $this->command($lesson->text('id'), 'sendOut');
        $this->work();
        $this->work();
        self::assertSame(0, $this->db()->fetchOne("SELECT COUNT(*) FROM live_event WHERE kind = 'whereaboutsChanged'"));
        self::assertSame(['lost', 'never'], $this->where($lesson, $lesson->text('floor.groups.0.students.0')));
    }

    public function test_an_absent_student_is_excused(): void
    {
        $lesson = $this->readyLesson();
        $student = $lesson->text('floor.groups.0.students.0');
        $this->ask('PATCH', "/api/staff/students/{$student}", ['absent' => true]);
        self::assertSame(['excused', 'absent'], $this->where($lesson, $student));
    }

    /**
     * @return array{mixed, mixed}
     */
    private function where(Json $lesson, string $student): array
    {
        $now = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        foreach (array_keys($now->list('students')) as $i) {
            if ($now->text("students.{$i}.id") === $student) {
                return [$now->at("students.{$i}.place"), $now->at("students.{$i}.because")];
            }
        }
        self::fail('not on the list');
    }
}
