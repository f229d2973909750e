<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\DryRun;

use FreshHuddle\App\DryRun\Practice\Practices;
use FreshHuddle\App\DryRun\Practice\PractiseCommand;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * A lesson is practised with simulated students, on the teacher's own pages, and nothing of it is real.
 */
final class PracticeTest extends AppTestCase
{
    use ClockSensitiveTrait;

    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        self::mockTime();
        $this->lesson = $this->readyLesson(8, 2);
    }

    public function test_it_is_a_double_of_the_lesson_with_the_same_list_groups_and_worksheets(): void
    {
        $practice = $this->begin();
        self::assertNotSame($this->lesson->text('id'), $practice->text('id'));
        self::assertNotSame($this->lesson->text('classId'), $practice->text('classId'));
        self::assertSame($this->lesson->text('title'), $practice->text('title'));
        self::assertSame(self::sizes($this->again()), self::sizes($practice));
        self::assertSame(
            array_column($this->again()->list('handOut'), 'original'),
            array_column($practice->list('handOut'), 'original'),
        );
        self::assertCount(2, $practice->list('copies'), 'one for each group, made beforehand');
    }

    public function test_simulated_students_come_work_and_come_back(): void
    {
        $practice = $this->begin();
        $id = $practice->text('id');
        $this->pass(60);
        $arrived = $this->arrived($id);
        self::assertGreaterThan(2, $arrived, 'most are there in a minute');
        $this->setRound($id, ['lookSeconds' => 0, 'minutes' => 10, 'callBackSeconds' => 10])->is(200);
        $this->command($id, 'sendOut')->is(200);
        $this->pass(60);
        self::assertGreaterThan(2, $this->inPlace($id), 'and went to their groups');
        $this->pass(300);
        $written = $this->db()->fetchOne(
            "SELECT count(*) FROM slot_answer v JOIN work_copy c ON c.id = v.copy_id
              JOIN round r ON r.id = c.round_id WHERE r.lesson_id = ? AND v.text <> ''",
            [$id],
        );
        self::assertGreaterThan(0, $written, 'something has been written');
        $this->command($id, 'callBack', 10)->is(200);
        $this->pass(60);
        self::assertGreaterThan(2, $this->inPlace($id), 'and they are in the main session again');
    }

    public function test_nothing_happens_in_the_real_lesson(): void
    {
        $before = $this->ofClass($this->lesson->text('classId'));
        $practice = $this->begin();
        $this->command($practice->text('id'), 'sendOut')->is(200);
        $this->pass(120);
        self::assertSame($before, $this->ofClass($this->lesson->text('classId')));
        self::assertCount(
            1,
            array_filter(
                $this->ask('GET', '/api/staff/classes')->list(''),
                static fn (mixed $class): bool => \is_array($class) && '9G' === $class['name'],
            ),
        );
        self::assertStringNotContainsString($practice->text('id'), $this->ask('GET', '/api/staff/lessons')->raw);
    }

    public function test_nobody_real_comes_in_and_nobody_real_is_written_to(): void
    {
        $practice = $this->begin();
        $this->asNobody();
        $this->ask('POST', '/api/student/join', ['doorWord' => $practice->text('doorWord'), 'name' => 'Ada'])->is(
            404,
        );
        $this->asTeacher();
        self::assertSame(
            0,
            $this->db()->fetchOne(
                'SELECT count(*) FROM student WHERE class_id = ? AND (email IS NOT NULL OR school_id IS NOT NULL)',
                [$practice->text('classId')],
            ),
        );
        $round = $practice->text('round.id');
        $this->ask('PUT', "/api/staff/rounds/{$round}/sending", ['posts' => true])->is(422);
        $this->ask('PUT', "/api/staff/rounds/{$round}/sending", ['letters' => true])->is(422);
    }

    public function test_a_press_leaves_it_and_everything_of_it_goes(): void
    {
        $count = fn (): array => array_map(
            fn (string $table): mixed => $this->db()->fetchOne("SELECT count(*) FROM {$table}"),
            [
                'school_class',
                'student',
                'lesson',
                'work_copy',
                'live_event',
                'dry_run',
                'presence',
                'student_device',
                'grouping',
            ],
        );
        $before = $count();
        $practice = $this->begin();
        $this->command($practice->text('id'), 'sendOut')->is(200);
        $this->pass(90);
        $this->ask('DELETE', "/api/staff/lessons/{$practice->text('id')}/practice")->is(200);
        self::assertSame($before, $count());
        $this->ask('GET', "/api/staff/lessons/{$practice->text('id')}")->is(404);
        $this->pass(5);
    }

    public function test_who_is_erased_from_the_class_is_in_no_practice_either(): void
    {
        $practice = $this->begin();
        $student = $this->again()->text('students.0.id');
        $name = $this->again()->text('students.0.name');
        $this->ask('POST', "/api/staff/students/{$student}/erase", ['name' => $name])->is(204);
        $this->work();
        $this->ask('GET', "/api/staff/lessons/{$practice->text('id')}")->is(404);
    }

    public function test_left_open_it_goes_and_so_does_one_whose_lesson_is_gone(): void
    {
        $practices = $this->service(Practices::class);
        $open = $this->begin()->text('id');
        $practices->forgetOld();
        $this->ask('GET', "/api/staff/lessons/{$open}")->is(200);
        $this->db()->executeStatement('UPDATE dry_run SET began_at = 0');
        $practices->forgetOld();
        $this->ask('GET', "/api/staff/lessons/{$open}")->is(404);
        $orphan = $this->begin()->text('id');
        $this->db()->executeStatement('DELETE FROM dry_run');
        $practices->forgetOld();
        $this->ask('GET', "/api/staff/lessons/{$orphan}")->is(404);
    }

    public function test_pressed_twice_it_is_one_practice_and_another_lesson_ends_it(): void
    {
        $first = $this->begin()->text('id');
        self::assertSame($first, $this->begin()->text('id'));
        $other = $this->readyLesson(4, 2);
        $this->ask('POST', "/api/staff/lessons/{$other->text('id')}/practice")->is(200);
        $this->ask('GET', "/api/staff/lessons/{$first}")->is(404);
    }

    public function test_it_is_for_those_who_teach_there_and_not_of_practice_itself(): void
    {
        $practice = $this->begin()->text('id');
        $this->ask('POST', "/api/staff/lessons/{$practice}/practice")->is(422);
        $this->ask('DELETE', "/api/staff/lessons/{$this->lesson->text('id')}/practice")->is(404);
        $this->asTeacher($this->newTeacher('someone@else.example'));
        $this->ask('POST', "/api/staff/lessons/{$this->lesson->text('id')}/practice")->is(404);
        $this->ask('GET', "/api/staff/lessons/{$practice}")->is(404);
    }

    public function test_the_process_gone_another_one_goes_on_where_it_was(): void
    {
        $practice = $this->begin()->text('id');
        $this->pass(60);
        $arrived = $this->arrived($practice);
        $this->pass(60, fresh: true);
        self::assertGreaterThanOrEqual($arrived, $this->arrived($practice), 'nobody comes twice, nobody is gone');
    }

    private function begin(): Json
    {
        $this->asTeacher();
        $view = $this->ask('POST', "/api/staff/lessons/{$this->lesson->text('id')}/practice")->is(200);

        return $this->ask('GET', "/api/staff/lessons/{$view->text('practice')}")->is(200);
    }

    private function again(): Json
    {
        return $this->ask('GET', "/api/staff/lessons/{$this->lesson->text('id')}")->is(200);
    }

    /** Lets time pass, as the process that drives practice and the worker see it. */
    private function pass(int $seconds, bool $fresh = false): void
    {
        $command = $this->service(PractiseCommand::class);
        if ($fresh) {
            $this->em()->clear();
            $command = clone $command;
        }
        for ($i = 0; $i < $seconds; ++$i) {
            self::mockTime('+1 second');
            $command->driveOnce();
        }
    }

    private function arrived(string $lesson): int
    {
        return \count(
            array_filter(
                $this->ask('GET', "/api/staff/lessons/{$lesson}")->list('students'),
                static fn (mixed $one): bool => \is_array($one) && true === $one['claimed'],
            ),
        );
    }

    private function inPlace(string $lesson): int
    {
        $students = $this->ask('GET', "/api/staff/lessons/{$lesson}")->list('students');

        return \count(
            array_filter(
                $students,
                static fn (mixed $one): bool => \is_array($one) && 'inPlace' === ($one['place'] ?? null),
            ),
        );
    }

    /**
     * @return list<mixed>
     */
    private function ofClass(string $class): array
    {
        return [
            $this->db()->fetchOne(
                'SELECT count(*) FROM live_event e JOIN lesson l ON l.id = e.lesson_id WHERE l.class_id = ?',
                [$class],
            ),
            $this->db()->fetchOne(
                'SELECT count(*) FROM presence p JOIN student s ON s.id = p.student_id WHERE s.class_id = ?',
                [$class],
            ),
            $this->db()->fetchOne('SELECT count(*) FROM student_device WHERE class_id = ?', [$class]),
        ];
    }

    /**
     * @return array<string, int> how many sit in each group, by its name
     */
    private static function sizes(Json $lesson): array
    {
        $groups = [];
        foreach (array_keys($lesson->list('floor.groups')) as $i) {
            $groups[$lesson->text("floor.groups.{$i}.name")] = \count($lesson->list("floor.groups.{$i}.students"));
        }

        return $groups;
    }
}
