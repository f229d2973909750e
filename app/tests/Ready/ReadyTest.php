<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Ready;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * The ready check through the real application: from an empty lesson to ready by its own presses, and each thing that
 * goes wrong afterwards is said at once.
 */
final class ReadyTest extends AppTestCase
{
    private Json $lesson;

    public function test_from_an_empty_lesson_to_ready_by_the_presses_it_names(): void
    {
        $this->lesson = $this->newLesson(6);
        self::assertSame(['noGroups' => 'Put 6 students into random groups'], $this->stops());
        $this->ask('POST', $this->grouping('deal'), ['basedOn' => 0, 'groups' => 2, 'seed' => 1])->is(200);
        self::assertSame(['noMaterial' => 'Create a worksheet', 'withoutRoom' => 'Set up 3 rooms'], $this->stops());
        $this->ask(
            'POST',
            $this->round('originals'),
            self::original('Sheet', [['id' => 'a', 'kind' => 'together', 'text' => 'Decide.']]),
        )->is(200);
        self::assertSame(
            ['withoutRoom' => 'Set up 3 rooms and 2 copies', 'withoutCopy' => 'Set up 3 rooms and 2 copies'],
            $this->stops(),
        );
        $this->ask('POST', $this->round('set-up'), ['digest' => $this->again()->text('setUpList.digest')])->is(204);
        self::assertSame(['roomsBeingMade', 'copiesBeingMade'], array_keys($this->stops()));
        $this->work();
        self::assertSame([], $this->stops());
        self::assertSame([], $this->looks());
    }

    public function test_an_absent_student_and_a_late_one_are_found_and_mended(): void
    {
        $this->ready();
        $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/import', [
            'text' => "Name\nLate Lin",
        ])->is(200);
        self::assertSame(['withoutSeat' => 'Fix the groups'], $this->stops());
        $this->mend();
        self::assertSame([], $this->stops());
        $group = $this->again()->texts('floor.groups.0.students');
        foreach (\array_slice($group, 1) as $student) {
            $this->ask('PATCH', "/api/staff/students/{$student}", ['absent' => true])->is(204);
        }
        self::assertContains('smallGroup', array_keys($this->looks()));
    }

    public function test_a_must_that_the_floor_breaks_is_found_and_mended(): void
    {
        $this->ready();
        $two = \array_slice($this->again()->texts('floor.groups.0.students'), 0, 2);
        $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/rules', [
            'kind' => 'apart',
            'students' => $two,
        ])->is(200);
        self::assertSame(['ruleBroken' => 'Fix the groups'], $this->stops());
        $this->mend();
        self::assertSame([], $this->stops());
    }

    public function test_rooms_of_every_kind_are_looked_at(): void
    {
        $this->ready();
        $class = $this->lesson->text('classId');
        $this->ask('PUT', "/api/staff/classes/{$class}/room-source", ['openedBy' => 'lead'])->is(200);
        self::assertSame([], $this->stops(), 'rooms at the meeting service need nobody to open them');
        $this->ask('PUT', $this->round('links'), ['text' => "https://rooms.example/a\nhttps://r00ms.example/b"])->is(
            200,
        );
        self::assertSame(['nobodyOpens' => 'Make groups'], $this->stops());
        self::assertSame(['roomUntried' => 'See the rooms', 'linksAlike' => 'See the rooms'], $this->looks());
        $this->db()->executeStatement("INSERT INTO seat_role (grouping_id, number, role) VALUES (?, 1, 'Lead')", [
            $this->lesson->text('floor.id'),
        ]);
        self::assertSame([], $this->stops());
        $this->ask('PUT', $this->round('links'), ['text' => "https://rooms.example/a\nhttps://rooms.example/b"])->is(
            200,
        );
        foreach ([1, 2] as $i) {
            $this->ask('POST', '/api/staff/rooms/'.$this->again()->text("rooms.{$i}.id").'/tried', [
                'was' => true,
            ])->is(204);
        }
        self::assertSame([], $this->looks());
    }

    public function test_materials_and_time_are_looked_at(): void
    {
        $this->ready();
        $original = $this->again()->text('handOut.0.original');
        $this->ask(
            'PUT',
            "/api/staff/originals/{$original}",
            self::original('Sheet', [['id' => 'a', 'kind' => 'together', 'text' => 'Decide again.']], 1),
        )->is(200);
        self::assertSame(['oldCopy' => 'Update the copies'], $this->looks());
        $this->ask('POST', $this->round('copies'))->is(200);
        self::assertSame([], $this->looks());
        $this->setRound($this->lesson->text('id'), ['minutes' => 1]);
        self::assertSame(['shortVisits' => 'See the running order'], $this->looks());
        $this->ask('PUT', $this->round('hand-out'), [
            'rows' => [['original' => $original, 'way' => 'nothing']],
            'knew' => [$original],
        ])->is(204);
        self::assertContains('materialForNobody', array_keys($this->looks()));
    }

    public function test_while_groups_are_out_nobody_is_bothered_with_it(): void
    {
        $this->ready();
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/import', [
            'text' => "Name\nLate Lin",
        ]);
        self::assertSame([], $this->again()->list('findings'));
    }

    private function ready(): void
    {
        $this->lesson = $this->newLesson(6);
        $this->ask('POST', $this->grouping('deal'), ['basedOn' => 0, 'groups' => 2, 'seed' => 1])->is(200);
        $this->ask('POST', $this->round('rooms'))->is(200);
        $this->work();
        $this->ask(
            'POST',
            $this->round('originals'),
            self::original('Sheet', [['id' => 'a', 'kind' => 'together', 'text' => 'Decide.']]),
        )->is(200);
        $this->ask('POST', $this->round('copies'))->is(200);
        self::assertSame([], $this->stops());
    }

    /** As “Mend the groups” and “Do it” do. */
    private function mend(): void
    {
        $repair = $this->ask('POST', $this->grouping('repair'))->is(200);
        $this->ask('POST', $this->grouping('take'), [
            'what' => 'repair',
            'rounds' => [$repair->at('round')],
            'basedOn' => $this->again()->int('floor.step'),
        ])->is(200);
        $this->work();
        $this->ask('POST', $this->round('copies'));
    }

    /**
     * @return array<string, string> what the press is called, by check
     */
    private function stops(): array
    {
        return $this->found('stop');
    }

    /**
     * @return array<string, string>
     */
    private function looks(): array
    {
        return $this->found('look');
    }

    /**
     * @return array<string, string>
     */
    private function found(string $weight): array
    {
        $lesson = $this->again();
        $found = [];
        foreach (array_keys($lesson->list('findings')) as $i) {
            if ($lesson->text("findings.{$i}.weight") === $weight) {
                $found[$lesson->text("findings.{$i}.check")] = $lesson->text("findings.{$i}.press");
            }
        }

        return $found;
    }

    private function again(): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function grouping(string $what): string
    {
        return '/api/staff/groupings/'.$this->lesson->text('floor.id').'/'.$what;
    }

    private function round(string $what): string
    {
        return '/api/staff/rounds/'.$this->lesson->text('round.id').'/'.$what;
    }
}
