<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Uid\Uuid;

/**
 * Worksheets that everybody works on alone, an exit ticket for example: they open at their own moment. And what becomes
 * of worksheets when the lesson is over.
 */
final class AloneWorkTest extends AppTestCase
{
    private Json $lesson;
    private string $alone;
    private string $ticket;
    private string $ada;
    private string $ben;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 2);
        $order = $this->ask('PUT', '/api/staff/lessons/'.$this->lesson->text('id').'/running-order', [
            'basedOn' => 0,
            'segments' => [
                ['kind' => 'briefing', 'minutes' => 5],
                ['id' => $this->lesson->text('round.segmentId'), 'kind' => 'round', 'minutes' => 20],
                ['kind' => 'alone', 'minutes' => 5],
                ['kind' => 'shareOut', 'minutes' => 5],
            ],
        ])->is(200);
        $this->alone = $order->text('segments.2.id');
        $this->ticket = $this->ask(
            'POST',
            "/api/staff/rounds/{$this->lesson->text('round.id')}/originals",
            self::original('Exit ticket', [['id' => 'one', 'kind' => 'each', 'text' => 'One thing you learned?']]),
        )
            ->is(200)
            ->text('id');
        $this->ask('POST', "/api/staff/segments/{$this->alone}/work", ['original' => $this->ticket])->is(204);
        $this->ask('POST', "/api/staff/rounds/{$this->lesson->text('round.id')}/copies")->is(200);
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        $this->ada = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->ben = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.1'));
    }

    public function test_it_is_planned_as_a_copy_each_with_its_segment(): void
    {
        $lesson = $this->again();
        self::assertSame(['together', 'each'], array_column($lesson->list('handOut'), 'way'));
        self::assertSame([null, $this->alone], array_column($lesson->list('handOut'), 'opensWith'));
        self::assertSame(
            [$this->alone, 'Exit ticket', $lesson->text('round.id')],
            [$lesson->text('alone.0.segment'), $lesson->text('alone.0.title'), $lesson->text('alone.0.round')],
        );
        $this->ask('POST', "/api/staff/segments/{$lesson->text('round.segmentId')}/work", [
            'original' => $this->ticket,
        ])->is(422);
    }

    public function test_it_opens_at_its_own_moment_and_not_from_the_first_minute(): void
    {
        $copy = $this->ticketOf(0);
        $this->see($this->ada, $copy)->is(404);
        $this->teach('sendOut')->is(200);
        self::assertSame(
            [['District sheet'], []],
            $this->shown($this->ada),
            'groups are out, and it is not there yet',
        );
        $this->see($this->ada, $copy)->is(404);
        $this->write($this->ada, $copy)->is(404);
        $this->teach('callBack', 0)->is(200);
        $this->see($this->ada, $copy)->is(404);
        $this->begin($this->alone);
        self::assertSame(['Exit ticket'], $this->shown($this->ada)[1]);
        self::assertTrue($this->now($this->ada)->at('alone.0.now'));
        $this->write($this->ada, $copy)->is(200);
        $this->see($this->ada, $copy)->is(200);
        $this->see($this->ben, $copy)->is(404);
        $this->begin($this->segment(3));
        self::assertFalse($this->now($this->ada)->at('alone.0.now'), 'the lesson has gone on');
        $this->see($this->ada, $copy)->is(200);
        $this->begin($this->segment(0));
        $this->see($this->ada, $copy)->is(404);
    }

    public function test_it_is_there_when_its_segment_begins_also_where_it_was_planned_after_everything_was_set_up(): void
    {
        $this->db()->executeStatement('DELETE FROM work_copy WHERE original_id = ?', [$this->ticket]);
        $this->teach('sendOut')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        self::assertSame(['Exit ticket'], $this->shown($this->ada)[1]);
        self::assertSame(['Exit ticket'], $this->shown($this->ben)[1]);
        $this->asTeacher();
        $more = $this->ask(
            'POST',
            '/api/staff/originals',
            self::original('One more thing', [['id' => 'one', 'kind' => 'each', 'text' => 'And?']]),
        )
            ->is(200)
            ->text('id');
        $this->ask('POST', "/api/staff/segments/{$this->alone}/work", ['original' => $more])->is(204);
        self::assertSame(
            ['Exit ticket', 'One more thing'],
            $this->shown($this->ada)[1],
            'given while everybody works alone it is there at once',
        );
    }

    public function test_it_does_not_hang_in_the_gallery(): void
    {
        $this->teach('sendOut')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        $this->asTeacher();
        $gallery = '/api/staff/lessons/'.$this->lesson->text('id').'/debrief/gallery';
        $this->ask('PUT', $gallery, ['remarks' => false])->is(200);
        $this->asStudent($this->ada);
        $titles = array_column($this->ask('GET', '/api/student/gallery')->is(200)->list('copies'), 'title');
        self::assertContains('District sheet', $titles);
        self::assertNotContains('Exit ticket', $titles, 'what each does alone is for nobody else');
    }

    public function test_it_is_closed_by_the_teacher_and_opened_again(): void
    {
        $this->teach('sendOut')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        $copy = $this->ticketOf(0);
        $this->close(0)->is(200);
        $this->db()->executeStatement('UPDATE segment SET closes_at = closes_at - 200000 WHERE id = ?', [$this->alone]);
        $this->write($this->ada, $copy)->is(422);
        self::assertTrue($this->see($this->ada, $copy)->is(200)->at('locked'));
        $this->close(null)->is(200);
        self::assertFalse($this->see($this->ada, $copy)->is(200)->at('locked'));
        $this->write($this->ada, $copy)->is(200);
    }

    public function test_it_waits_for_the_student_after_a_lesson_that_locks_all_else(): void
    {
        $this->teach('sendOut')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        $copy = $this->ticketOf(0);
        $this->ask('PATCH', '/api/staff/lessons/'.$this->lesson->text('id'), ['locksAtEnd' => true])->is(200);
        $later = (int) (microtime(true) * 1_000) + 86_400_000;
        self::assertContains($later, array_column($this->close($later)->is(200)->list('segments'), 'closesAt'));
        $this->teach('end')->is(200);
        $this->write($this->ada, $copy)->is(200);
        self::assertSame($later, $this->see($this->ada, $copy)->is(200)->int('closesAt'));
    }

    public function test_only_what_is_done_alone_can_be_closed(): void
    {
        $segment = $this->lesson->text('round.segmentId');
        $refused = $this->ask('PUT', "/api/staff/segments/{$segment}/closing", ['closesAt' => 0])->is(422);
        self::assertSame('closesAt', $refused->text('errors.0.field'));
        $this->ask('PUT', "/api/staff/segments/{$this->alone}/closing", ['closesAt' => -1])->is(422);
    }

    public function test_the_teacher_sees_who_has_not_answered_takes_answers_apart_and_prints_them(): void
    {
        $this->teach('sendOut')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        $this->write($this->ada, $this->ticketOf(0))->is(200);
        $this->write($this->ben, $this->ticketOf(1), text: 'Walls')->is(200);
        $this->asTeacher();
        $path = '/api/staff/rounds/'.$this->lesson->text('round.id').'/sums';
        $sum = $this->sumOfTicket($this->ask('GET', $path)->is(200));
        self::assertSame([2, 4], [$sum['answered'], $sum['all']]);
        self::assertCount(2, (array) $sum['missing']);
        $apart = fn (bool $on): Json => $this->ask('PUT', $path.'/apart', [
            'original' => $this->ticket,
            'slot' => 'one',
            'text' => 'Walls',
            'apart' => $on,
        ])->is(200);
        self::assertContains(true, $this->apart($apart(true)));
        self::assertNotContains(true, $this->apart($apart(false)));
        self::assertStringStartsWith('%PDF', $this->ask('GET', $path.'.pdf')->is(200)->raw);
    }

    public function test_groups_are_done_without_it(): void
    {
        $this->teach('sendOut')->is(200);
        self::assertSame(3, $this->again()->int('signals.0.slots'), 'two who notice something, and one decision');
    }

    public function test_a_student_who_gets_a_seat_late_gets_it_too(): void
    {
        $this->teach('sendOut')->is(200);
        $class = $this->lesson->text('classId');
        $this->ask('POST', "/api/staff/classes/{$class}/import", ['text' => "Name\nLate Comer"])->is(200);
        $late = $this->db()->fetchOne("SELECT id FROM student WHERE name = 'Late Comer'");
        self::assertIsString($late);
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => 'seat',
            'student' => $late,
            'group' => $this->lesson->text('floor.groups.0.id'),
            'basedOn' => $this->again()->int('floor.step'),
        ])->is(200);
        $device = $this->join($this->again(), $late);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        self::assertSame(['Exit ticket'], $this->shown($device)[1]);
    }

    public function test_a_student_without_a_seat_works_alone_like_everybody(): void
    {
        $class = $this->lesson->text('classId');
        $this->ask('POST', "/api/staff/classes/{$class}/import", ['text' => "Name\nSeat Less"])->is(200);
        $student = $this->db()->fetchOne("SELECT id FROM student WHERE name = 'Seat Less'");
        self::assertIsString($student);
        $device = $this->join($this->again(), $student);
        $this->teach('sendOut')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        self::assertSame([[], ['Exit ticket']], $this->shown($device));
        $copy = $this->now($device)->text('alone.0.id');
        $this->write($device, $copy)->is(200);
        $this->see($this->ada, $copy)->is(404);
    }

    public function test_what_will_be_seen_then_can_be_looked_at_before(): void
    {
        $student = $this->lesson->text('floor.groups.0.students.0');
        $view = $this->ask('GET', "/api/staff/segments/{$this->alone}/as/{$student}/before")->is(200);
        self::assertSame(
            ['Exit ticket', 'Exit ticket'],
            [$view->text('now.alone.0.title'), $view->text('sheets.0.title')],
        );
        $round = $this->ask(
            'GET',
            "/api/staff/segments/{$this->lesson->text('round.segmentId')}/as/{$student}/out",
        )->is(200);
        self::assertSame(['District sheet'], array_column($round->list('sheets'), 'title'));
    }

    public function test_the_next_lesson_has_it_in_the_segment_at_the_same_place_and_a_round_that_shares_the_plan_has_it_not(): void
    {
        $next = $this->next('same');
        self::assertSame($next->text('order.segments.2.id'), $next->text('alone.0.segment'));
        $this->ask('POST', "/api/staff/lessons/{$next->text('id')}/rounds", [
            'basedOn' => $next->int('order.step'),
            'way' => 'rotation',
            'rounds' => 2,
        ])->is(200);
        self::assertCount(1, $this->ask('GET', '/api/staff/lessons/'.$next->text('id'))->list('alone'));
    }

    public function test_when_the_lesson_is_over_worksheets_stay_open_or_can_only_be_read_as_the_teacher_chose(): void
    {
        $id = $this->lesson->text('id');
        $this->teach('sendOut')->is(200);
        $group = $this->now($this->ada)->text('group.copies.0.id');
        $this->write($this->ada, $group, 'decision', 'The high wall.')->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->teach('end')->is(200);
        $this->write($this->ada, $group, 'noticed', 'More mud.')->is(200);
        $this->asTeacher();
        $this->ask('PATCH', "/api/staff/lessons/{$id}", ['locksAtEnd' => true])->is(200);
        $this->db()->executeStatement('UPDATE lesson SET ended_at = ended_at - 200000 WHERE id = ?', [$id]);
        $this->write($this->ada, $group, 'noticed', 'Too late.')->is(422);
        $seen = $this->see($this->ada, $group)->is(200);
        self::assertTrue($seen->at('locked'));
        self::assertContains(
            'The high wall.',
            array_column($seen->list('answers'), 'text'),
            'and what was written can be read',
        );
        self::assertTrue($this->next('same')->at('locksAtEnd'), 'the next lesson does as this one');
    }

    public function test_students_find_what_was_theirs_in_earlier_lessons_and_nothing_else(): void
    {
        $id = $this->lesson->text('id');
        $this->teach('sendOut')->is(200);
        $group = $this->now($this->ada)->text('group.copies.0.id');
        $this->write($this->ada, $group, 'decision', 'The high wall.')->is(200);
        self::assertSame([], $this->earlier($this->ada)->list(''), 'what is at hand is not earlier');
        $this->teach('callBack', 0)->is(200);
        $this->begin($this->alone);
        $this->teach('end')->is(200);
        $next = $this->next('newPartners');
        $this->asTeacher();
        $this->ask('POST', "/api/staff/lessons/{$next->text('id')}/current", [])->is(200);
        $found = $this->earlier($this->ada);
        self::assertSame(['District sheet', 'Exit ticket'], $this->sorted($found));
        self::assertSame('Where does the wall go?', $found->text('0.lesson'));
        $this->see($this->ada, $group)->is(200);
        $other = $this->join($next, $this->lesson->text('floor.groups.1.students.0'));
        self::assertNotContains($group, array_column($this->earlier($other)->list(''), 'id'));
        $this->see($other, $group)->is(404);
        $this->asTeacher();
        $this->ask('DELETE', "/api/staff/lessons/{$id}")->is(204);
        self::assertSame([], $this->earlier($this->ada)->list(''), 'a lesson that is thrown away shows nothing');
        $this->see($this->ada, $group)->is(404);
    }

    public function test_margin_notes_come_along_into_the_next_lessons_copies(): void
    {
        $id = $this->lesson->text('id');
        $this->teach('sendOut')->is(200);
        $group = $this->now($this->ada)->text('group.copies.0.id');
        $this->write($this->ada, $group, 'decision', 'The high wall.')->is(200);
        $this->asTeacher();
        $note = $this->ask('POST', "/api/staff/copies/{$group}/notes", [
            'slot' => 'decision',
            'text' => 'What does it cost?',
        ])
            ->is(200)
            ->text('id');
        $this->asStudent($this->ada);
        $this->ask('PUT', "/api/student/copies/{$group}/notes/{$note}", ['answer' => 'Two million.'])->is(200);
        $this->teach('callBack', 0)->is(200);
        $this->teach('end')->is(200);
        $next = $this->next('same');
        $this->ask('POST', "/api/staff/rounds/{$next->text('round.id')}/copies")->is(200);
        $notes = [];
        foreach ($this->ask('GET', "/api/staff/rounds/{$next->text('round.id')}/copies")->list('') as $copy) {
            \assert(\is_array($copy) && \is_array($copy['notes']));
            $notes = [...$notes, ...$copy['notes']];
        }
        self::assertSame(
            [['What does it cost?', 'Two million.', 'decision']],
            array_map(
                static fn (mixed $one): array => \is_array($one) ? [$one['text'], $one['answer'], $one['slot']] : [],
                $notes,
            ),
        );
    }

    /**
     * @return list<string>
     */
    private function sorted(Json $list): array
    {
        $titles = array_filter(array_column($list->list(''), 'title'), \is_string(...));
        sort($titles);

        return $titles;
    }

    private function earlier(string $student): Json
    {
        $this->asStudent($student);

        return $this->ask('GET', '/api/student/copies')->is(200);
    }

    private function next(string $groups): Json
    {
        $this->asTeacher();
        $made = $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/lessons', [
            'title' => 'Next',
            'minutes' => 45,
            'from' => $this->lesson->text('id'),
            'groups' => $groups,
        ])->is(200);

        return $this->ask('GET', '/api/staff/lessons/'.$made->text('id'))->is(200);
    }

    private function segment(int $at): string
    {
        return $this->again()->text("order.segments.{$at}.id");
    }

    private function close(?int $at): Json
    {
        $this->asTeacher();

        return $this->ask('PUT', "/api/staff/segments/{$this->alone}/closing", ['closesAt' => $at]);
    }

    /**
     * @return array<array-key, mixed>
     */
    private function sumOfTicket(Json $sums): array
    {
        foreach ((array) json_decode($sums->raw, true, 64, \JSON_THROW_ON_ERROR) as $sum) {
            if (\is_array($sum) && $sum['original'] === $this->ticket) {
                return $sum;
            }
        }
        self::fail('no sum of it');
    }

    /**
     * @return array<array-key, mixed> whether each kind of answer stands by itself
     */
    private function apart(Json $sums): array
    {
        $tallies = $this->sumOfTicket($sums)['tallies'];

        return \is_array($tallies) ? array_column($tallies, 'apart') : [];
    }

    private function begin(string $segment): void
    {
        $this->asTeacher();
        $this->ask(
            'POST',
            '/api/staff/lessons/'.$this->lesson->text('id').'/commands',
            ['kind' => 'begin', 'segment' => $segment],
            ['Idempotency-Key' => Uuid::v4()->toRfc4122()],
        )->is(200);
    }

    private function teach(string $kind, ?int $seconds = null): Json
    {
        $this->asTeacher();

        return $this->command($this->lesson->text('id'), $kind, $seconds);
    }

    private function again(): Json
    {
        $this->asTeacher();

        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function ticketOf(int $seat): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM work_copy WHERE original_id = ? AND student_id = ?', [
            $this->ticket,
            $this->lesson->text("floor.groups.0.students.{$seat}"),
        ]);

        return \is_string($id) ? $id : self::fail('no copy');
    }

    private function now(string $student): Json
    {
        $this->asStudent($student);

        return $this->ask('GET', '/api/student/now')->is(200);
    }

    /**
     * @return array{list<mixed>, list<mixed>} titles of what the group works on, and of what the student works on alone
     */
    private function shown(string $student): array
    {
        $now = $this->now($student);

        return [
            null === $now->at('group') ? [] : array_column($now->list('group.copies'), 'title'),
            array_column($now->list('alone'), 'title'),
        ];
    }

    private function see(string $student, string $copy): Json
    {
        $this->asStudent($student);

        return $this->ask('GET', "/api/student/copies/{$copy}");
    }

    private function write(string $student, string $copy, string $slot = 'one', string $text = 'Walls cost.'): Json
    {
        $this->asStudent($student);

        return $this->ask('PUT', "/api/student/copies/{$copy}/slots/{$slot}", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => $text,
        ]);
    }
}
