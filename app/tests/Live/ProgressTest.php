<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\Uid\Uuid;

/**
 * What is said of a group at work is what its members have done in this round, in their own copy.
 */
final class ProgressTest extends AppTestCase
{
    use ClockSensitiveTrait;

    public function test_what_came_along_from_the_last_lesson_is_nobodys_work_of_today(): void
    {
        self::mockTime();
        $lesson = $this->out($this->readyLesson(2, 1));
        [$ada, $ben] = $this->members($lesson);
        $phone = $this->join($lesson, $ada);
        foreach (['noticed' => $ada, 'decision' => null] as $slot => $owner) {
            $this->write($lesson, $phone, $slot, 'The wall goes north.');
        }
        $this->command($lesson->text('id'), 'callBack', 0)->is(200);
        $this->command($lesson->text('id'), 'end')->is(200);
        self::mockTime('+2 hours');
        $next = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Tomorrow',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'groups' => 'same',
        ])->is(200);
        $this->ask('POST', '/api/staff/rounds/'.$next->text('round.id').'/copies')->is(200);
        $next = $this->out($next);
        $group = $next->at('signals.0');
        self::assertIsArray($group);
        self::assertSame(
            [2, 3, null, false],
            [$group['filled'], $group['slots'], $group['changedAt'], $group['done']],
        );
        self::assertEqualsCanonicalizing([$ada, $ben], $group['silent'], 'neither has written today');
    }

    public function test_how_groups_stand_can_be_asked_for_alone(): void
    {
        $lesson = $this->out($this->readyLesson(4, 2));
        $phone = $this->join($lesson, $lesson->text('floor.groups.1.students.0'));
        $this->write($lesson, $phone, 'decision', 'The wall goes north.', $lesson->text('floor.groups.1.id'));
        $signals = '/api/staff/rounds/'.$lesson->text('round.id').'/signals';
        $alone = $this->ask('GET', $signals)->is(200);
        $whole = $this->again($lesson);
        self::assertSame([0, 1], array_column($alone->list('signals'), 'filled'));
        foreach (['seq', 'signals', 'visits'] as $part) {
            self::assertSame($whole->at($part), $alone->at($part), $part);
        }
        $this->ask('GET', '/api/staff/rounds/'.Uuid::v7()->toRfc4122().'/signals')->is(404);
        $this->command($lesson->text('id'), 'callBack', 0)->is(200);
        self::assertSame([], $this->ask('GET', $signals)->is(200)->list('signals'), 'nobody is out');
    }

    public function test_where_nobody_of_a_group_has_come_it_is_not_inactive_but_empty(): void
    {
        self::mockTime();
        $lesson = $this->out($this->readyLesson(4, 2));
        $phone = $this->join($lesson, $lesson->text('floor.groups.0.students.0'));
        self::mockTime('+10 minutes');
        $this->asStudent($phone);
        $this->ask('POST', '/api/student/sign')->is(200);
        $this->asTeacher();
        $signals = $this->again($lesson)->list('signals');
        self::assertSame([false, true], array_column($signals, 'nobody'));
        $reasons = array_column($this->again($lesson)->list('visits'), 'reason', 'groupId');
        self::assertSame('still', $reasons[$lesson->text('floor.groups.0.id')]);
        self::assertSame('nobody', $reasons[$lesson->text('floor.groups.1.id')]);
    }

    public function test_a_part_that_was_split_off_begins_with_what_its_members_wrote_and_is_done_with_its_own_places(): void
    {
        $lesson = $this->out($this->readyLesson(4, 1));
        $members = $lesson->texts('floor.groups.0.students');
        foreach ([0, 1, 2] as $i) {
            $this->write($lesson, $this->join($lesson, $members[$i]), 'noticed', "Seen by {$i}");
        }
        $group = $lesson->text('floor.groups.0.id');
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/edits', [
            'kind' => 'split',
            'group' => $group,
            'students' => [$members[2], $members[3]],
            'basedOn' => $this->again($lesson)->int('floor.step'),
        ])->is(200);
        $now = $this->again($lesson);
        $new = $now->text('floor.groups.1.id');
        $copies = $this->ask('GET', '/api/staff/rounds/'.$lesson->text('round.id').'/copies')->is(200);
        foreach ($copies->list('') as $copy) {
            self::assertIsArray($copy);
            $owners = array_column(
                array_filter(
                    (array) $copy['answers'],
                    static fn (mixed $one): bool => \is_array($one) && 'noticed' === $one['slot'],
                ),
                'owner',
            );
            if ($copy['groupId'] === $new) {
                self::assertSame([$members[2]], array_values($owners), 'what others wrote stays with them');
            }
        }
        self::assertSame([2, 3, false], $this->done($now, $group));
        self::assertSame([1, 3, false], $this->done($now, $new));
        $phone = $this->join($lesson, $members[3]);
        $this->write($now, $phone, 'noticed', 'Me too', $new);
        $this->write($now, $phone, 'decision', 'South.', $new);
        self::assertSame([3, 3, true], $this->done($this->again($lesson), $new));
        self::assertSame([2, 3, false], $this->done($this->again($lesson), $group));
    }

    /**
     * @return array{int, int, mixed} places filled, all of them, and whether that is done
     */
    private function done(Json $lesson, string $group): array
    {
        $i = array_search($group, array_column($lesson->list('signals'), 'groupId'), true);
        self::assertIsInt($i);

        return [
            $lesson->int("signals.{$i}.filled"),
            $lesson->int("signals.{$i}.slots"),
            $lesson->at("signals.{$i}.done"),
        ];
    }

    private function out(Json $lesson): Json
    {
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0, 'callBackSeconds' => 0]);

        return $this->command($lesson->text('id'), 'sendOut')->is(200);
    }

    /**
     * @return array{string, string}
     */
    private function members(Json $lesson): array
    {
        return [$lesson->text('floor.groups.0.students.0'), $lesson->text('floor.groups.0.students.1')];
    }

    private function write(Json $lesson, string $phone, string $slot, string $text, ?string $group = null): void
    {
        $copy = null;
        foreach ($this->again($lesson)->list('copies') as $one) {
            if (\is_array($one) && $one['groupId'] === ($group ?? $lesson->text('floor.groups.0.id'))) {
                $copy = $one['id'];
            }
        }
        self::assertIsString($copy);
        $this->asStudent($phone);
        $this->ask('PUT', "/api/student/copies/{$copy}/slots/{$slot}", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => $text,
        ])->is(200);
        $this->asTeacher();
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }
}
