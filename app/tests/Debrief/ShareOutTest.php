<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

/**
 * Groups report in turn, each in its time.
 */
final class ShareOutTest extends DebriefTestCase
{
    public function test_when_it_begins_all_groups_are_in_order_and_share_the_time(): void
    {
        $this->workDone(6, 3, 0);
        $this->everybodyBack();
        self::assertSame([], $this->debrief('GET')->list('turns'));
        $this->shareOut();
        $turns = $this->debrief('GET');
        self::assertCount(3, $turns->list('turns'));
        $groups = array_map(static fn (int $i): string => $turns->text("turns.{$i}.groupId"), [0, 1, 2]);
        sort($groups);
        $floor = array_map(fn (int $i): string => $this->lesson->text("floor.groups.{$i}.id"), [0, 1, 2]);
        sort($floor);
        self::assertSame($floor, $groups);
        $minutes = 13; // of the share-out of a lesson of 50
        self::assertEqualsWithDelta($minutes * 20_000, $turns->int('turns.0.forMs'), 3_000);
    }

    public function test_each_press_brings_the_next_and_students_know_who_reports(): void
    {
        $tokens = $this->workDone(4, 2, 1);
        $this->everybodyBack();
        $this->shareOut();
        $this->asStudent($tokens[0]);
        $before = $this->ask('GET', '/api/student/debrief');
        self::assertNull($before->at('report.now'));
        $this->asTeacher();
        $first = $this->debrief('POST', '/turns', ['now' => null])->is(200);
        self::assertSame($before->text('report.next.id'), $first->text('turns.0.groupId'), 'warned one ahead');
        $this->asStudent($tokens[0]);
        $during = $this->ask('GET', '/api/student/debrief');
        self::assertSame($first->text('turns.0.groupId'), $during->text('report.now.id'));
        self::assertSame($first->text('turns.1.groupId'), $during->text('report.next.id'));
        $this->asTeacher();
        $second = $this->debrief('POST', '/turns', ['now' => $first->text('turns.0.id')]);
        self::assertNotNull($second->at('turns.0.endedAt'));
        self::assertGreaterThan(
            $first->int('turns.1.forMs'),
            $second->int('turns.1.forMs'),
            'who stops early leaves the time to those who come',
        );
        $this->debrief('POST', '/turns', ['now' => $second->text('turns.1.id')])->is(200);
        $this->asStudent($tokens[0]);
        self::assertTrue($this->ask('GET', '/api/student/debrief')->at('report.done'));
    }

    public function test_two_presses_are_one(): void
    {
        $this->workDone(6, 3, 0);
        $this->everybodyBack();
        $this->shareOut();
        $this->debrief('POST', '/turns', ['now' => null])->is(200);
        $again = $this->debrief('POST', '/turns', ['now' => null])->is(200);
        self::assertNotNull($again->at('turns.0.begunAt'));
        self::assertNull($again->at('turns.1.begunAt'));
    }

    public function test_any_group_can_be_brought_forward_and_back(): void
    {
        $this->workDone(6, 3, 0);
        $this->everybodyBack();
        $this->shareOut();
        $first = $this->debrief('POST', '/turns', ['now' => null]);
        $third = $this->debrief('POST', '/turns', [
            'now' => $first->text('turns.0.id'),
            'turn' => $first->text('turns.2.id'),
        ])->is(200);
        self::assertNotNull($third->at('turns.2.begunAt'));
        self::assertNull($third->at('turns.1.begunAt'));
        $back = $this->debrief('POST', '/turns', [
            'now' => $first->text('turns.2.id'),
            'turn' => $first->text('turns.0.id'),
        ])->is(200);
        self::assertNull($back->at('turns.0.endedAt'), 'a press too many is taken back');
    }

    public function test_the_order_is_put_by_hand_and_some_do_not_report(): void
    {
        $this->workDone(6, 3, 0);
        $this->everybodyBack();
        $this->shareOut();
        $groups = [$this->lesson->text('floor.groups.2.id'), $this->lesson->text('floor.groups.0.id')];
        $turns = $this->debrief('PUT', '/turns', ['order' => 'byHand', 'groups' => $groups])->is(200);
        self::assertCount(2, $turns->list('turns'));
        self::assertSame($groups, [$turns->text('turns.0.groupId'), $turns->text('turns.1.groupId')]);
        // Whoever has reported stays where they were.
        $this->debrief('POST', '/turns', ['now' => null])->is(200);
        $again = $this->debrief('PUT', '/turns', ['order' => 'drawn'])->is(200);
        self::assertCount(3, $again->list('turns'));
        self::assertSame($groups[0], $again->text('turns.0.groupId'));
    }

    public function test_a_group_gets_more_of_the_time_or_a_minute_more_now(): void
    {
        $this->workDone(4, 2, 0);
        $this->everybodyBack();
        $this->shareOut();
        $turns = $this->debrief('GET');
        $more = $this->debrief('PATCH', '/turns/'.$turns->text('turns.1.id'), ['share' => 3])->is(200);
        self::assertEqualsWithDelta(3 * $more->int('turns.0.forMs'), $more->int('turns.1.forMs'), 3_000);
        $now = $this->debrief('POST', '/turns', ['now' => null]);
        $endsAt = $now->int('turns.0.endsAt') + 60_000;
        $this->debrief('PATCH', '/turns/'.$now->text('turns.0.id'), ['endsAt' => $endsAt])->is(200);
        self::assertSame($endsAt, $this->debrief('GET')->int('turns.0.endsAt'));
    }

    public function test_outside_a_share_out_nobody_reports(): void
    {
        $tokens = $this->workDone(4, 2, 1);
        $this->debrief('POST', '/turns', ['now' => null])->is(422);
        $this->asStudent($tokens[0]);
        self::assertNull($this->ask('GET', '/api/student/debrief')->at('report'));
    }
}
