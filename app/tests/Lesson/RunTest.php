<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Lesson;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * What was really sent out stays as it was.
 */
final class RunTest extends AppTestCase
{
    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->ask('PATCH', '/api/staff/groupings/'.$this->lesson->text('floor.id'), [
            'numbers' => ['roles' => [['number' => 1, 'role' => 'lead']], 'tasks' => []],
        ])->is(200);
    }

    public function test_a_run_keeps_groups_seats_names_numbers_and_roles_as_they_were(): void
    {
        $this->send('sendOut');
        $before = $this->seats(1);
        self::assertSame(
            [
                ['Group 1', 1, 'lead'],
                ['Group 1', 2, ''],
                ['Group 1', 3, ''],
                ['Group 2', 1, 'lead'],
                ['Group 2', 2, ''],
                ['Group 2', 3, ''],
            ],
            array_map(static fn (array $row): array => [$row['group'], $row['number'], $row['role']], $before),
        );
        $first = $this->lesson->text('floor.groups.0.students.0');
        $this->ask('PATCH', "/api/staff/students/{$first}", ['name' => 'Renamed Since'])->is(204);
        $this->edit(1, ['kind' => 'seat', 'student' => $first, 'group' => $this->lesson->text('floor.groups.1.id')]);
        $this->edit(2, [
            'kind' => 'rename',
            'group' => $this->lesson->text('floor.groups.0.id'),
            'name' => 'Quayside',
        ]);
        $this->edit(3, ['kind' => 'removeTable', 'group' => $this->lesson->text('floor.groups.1.id')]);
        self::assertSame($before, $this->seats(1));
    }

    public function test_sending_out_again_is_a_second_run_and_the_first_is_still_there(): void
    {
        $this->send('sendOut');
        $before = $this->seats(1);
        $this->send('callBack', 0);
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/deal', [
            'basedOn' => 1,
            'groups' => 3,
            'seed' => 2,
        ])->is(200);
        $this->send('sendOut');
        self::assertSame($before, $this->seats(1));
        self::assertCount(
            3,
            array_unique(
                array_map(
                    static fn (array $row): string => \is_string($row['group']) ? $row['group'] : '',
                    $this->seats(2),
                ),
            ),
        );
        self::assertSame(
            [1],
            $this->db()->fetchFirstColumn('SELECT COUNT(*) FROM run WHERE ended_at IS NULL'),
            'one goes on',
        );
    }

    public function test_a_call_back_that_is_taken_off_lets_the_run_go_on_and_one_taken_back_never_was(): void
    {
        $this->send('sendOut');
        $this->send('callBack', 60);
        self::assertSame([0], $this->db()->fetchFirstColumn('SELECT COUNT(*) FROM run WHERE ended_at IS NULL'));
        $this->send('keepWorking');
        self::assertSame([1], $this->db()->fetchFirstColumn('SELECT COUNT(*) FROM run WHERE ended_at IS NULL'));
        $this->send('callBack', 0);
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 60]);
        $this->send('sendOut');
        $this->send('takeBack');
        self::assertSame([false, true], $this->db()->fetchFirstColumn('SELECT taken_back FROM run ORDER BY attempt'));
        $desk = $this->ask('GET', '/api/staff/groupings/'.$this->lesson->text('floor.id'));
        self::assertCount(1, $desk->list('uses'));
    }

    public function test_who_is_absent_is_not_in_the_run(): void
    {
        $away = $this->lesson->text('floor.groups.0.students.1');
        $this->ask('PATCH', "/api/staff/students/{$away}", ['absent' => true]);
        $this->send('sendOut');
        self::assertCount(5, $this->seats(1));
    }

    public function test_a_move_while_the_run_is_on_is_an_event_with_before_and_after(): void
    {
        $this->send('sendOut');
        $student = $this->lesson->text('floor.groups.0.students.0');
        $this->edit(1, [
            'kind' => 'seat',
            'student' => $student,
            'group' => $this->lesson->text('floor.groups.1.id'),
        ]);
        $this->edit(2, ['kind' => 'shelve', 'student' => $student]);
        $moves = $this->db()->fetchAllNumeric(
            "SELECT student_id, data->>'fromGroup', data->>'toGroup', run_id IS NOT NULL FROM live_event
                WHERE kind = 'seatsChanged' ORDER BY seq",
        );
        [$one, $two] = [$this->lesson->text('floor.groups.0.id'), $this->lesson->text('floor.groups.1.id')];
        self::assertSame([[$student, $one, $two, true], [$student, $two, null, true]], $moves);
    }

    public function test_a_group_outlives_its_table_so_that_taking_it_away_can_be_undone(): void
    {
        $group = $this->lesson->text('floor.groups.0.id');
        $this->edit(1, ['kind' => 'removeTable', 'group' => $group]);
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertCount(1, $lesson->list('floor.groups'));
        self::assertCount(2, $lesson->list('copies'), 'the copy is not thrown away');
        $floor = $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/undo', [
            'basedOn' => 2,
        ])->is(200);
        self::assertSame(
            [$group, $this->lesson->texts('floor.groups.0.students')],
            [$floor->text('groups.0.id'), $floor->texts('groups.0.students')],
        );
    }

    public function test_the_database_itself_lets_nobody_sit_twice(): void
    {
        $this->expectException(UniqueConstraintViolationException::class);
        $this->db()->executeStatement(
            'INSERT INTO seat (grouping_id, student_id, group_id, number, fixed)
                SELECT grouping_id, student_id, group_id, number + 20, false FROM seat',
        );
    }

    /**
     * @param array<string, mixed> $edit
     */
    private function edit(int $basedOn, array $edit): void
    {
        $this->ask(
            'POST',
            '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits',
            ['basedOn' => $basedOn] + $edit,
        )->is(200);
    }

    private function send(string $kind, ?int $seconds = null): void
    {
        $this->command($this->lesson->text('id'), $kind, $seconds)->is(200);
    }

    /**
     * @return list<array<string, mixed>> of a run, by group and number
     */
    private function seats(int $attempt): array
    {
        return $this->db()->fetchAllAssociative(
            'SELECT g.name AS group, s.number, s.name, s.role FROM run r JOIN run_seat s ON s.run_id = r.id
                JOIN run_group g ON g.id = s.run_group_id
             WHERE r.attempt = ? ORDER BY g.position, s.number',
            [$attempt],
        );
    }
}
