<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Rooms\Meeting\StandinMeetingService;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\RoomsInMemory;
use FreshHuddle\App\Worker\Task;
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
        $kinds = $this->db()->fetchFirstColumn(
            "SELECT data->>'place' FROM live_event WHERE lesson_id = ? AND kind = 'whereaboutsChanged' ORDER BY seq",
            [$lesson->text('id')],
        );
        self::assertSame(['onTheWay', 'leftBehind', 'lost'], $kinds);
    }

    public function test_a_student_who_never_came_is_not_written_into_the_record_again_and_again(): void
    {
        $lesson = $this->readyLesson();
        $this->command($lesson->text('id'), 'sendOut');
        $this->work();
        $this->work();
        self::assertSame(
            0,
            $this->db()->fetchOne("SELECT COUNT(*) FROM live_event WHERE kind = 'whereaboutsChanged'"),
        );
        self::assertSame(['lost', 'never'], $this->where($lesson, $lesson->text('floor.groups.0.students.0')));
    }

    public function test_an_absent_student_is_excused(): void
    {
        $lesson = $this->readyLesson();
        $student = $lesson->text('floor.groups.0.students.0');
        $this->ask('PATCH', "/api/staff/students/{$student}", ['absent' => true]);
        self::assertSame(['excused', 'absent'], $this->where($lesson, $student));
    }

    public function test_a_callback_that_overtakes_the_service_s_answer_is_not_undone_by_it(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/rooms');
        $this->work();
        $student = $lesson->text('floor.groups.0.students.0');
        $rooms = $this->db()->fetchAllKeyValue('SELECT COALESCE(group_id::text, \'main\'), external_id FROM room');
        $main = $rooms['main'];
        $own = $rooms[$lesson->text('floor.groups.0.id')];
        \assert(\is_string($main) && \is_string($own));
        $service = new RoomsInMemory();
        self::ensureKernelShutdown();
        self::bootKernel();
        self::getContainer()->set(StandinMeetingService::class, $service);
        $presence = $this->service(PresenceStore::class);
        $before = $this->service(Clock::class)->ms() - 60_000;
        $presence->seenByService($student, $main, $before);
        $service->there = [$student => ['room' => $main, 'since' => $before]];
        $service->meanwhile = fn () => $presence->seenByService($student, $own, $this->service(Clock::class)->ms());
        $this->service(WatchTaskHandler::class)->handle(new Task(1, WatchTaskHandler::ASK_SERVICE, $id, [], 1, 0));
        self::assertSame(
            $lesson->text('floor.groups.0.id'),
            $this->db()->fetchOne('SELECT service_place FROM presence WHERE student_id = ?', [$student]),
        );

        // Where no callback came, the answer counts.
        $service->meanwhile = null;
        $service->there = [];
        self::mockTime('+5 seconds');
        $this->service(WatchTaskHandler::class)->handle(new Task(1, WatchTaskHandler::ASK_SERVICE, $id, [], 1, 0));
        self::assertNull(
            $this->db()->fetchOne('SELECT service_place FROM presence WHERE student_id = ?', [$student]),
        );
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
