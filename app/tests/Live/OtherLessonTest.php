<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * A class has several lessons and is in one of them: none is ended, emptied or changed by what is done in another
 * without a word.
 */
final class OtherLessonTest extends AppTestCase
{
    use ClockSensitiveTrait;

    public function test_sending_out_while_another_lesson_is_out_asks_first_and_says_whom_it_concerns(): void
    {
        [$first, $second] = $this->twoLessons();
        $refused = $this->command($second->text('id'), 'sendOut')->is(409);
        self::assertSame('leaving', $refused->text('errors.0.field'));
        self::assertStringContainsString('Where does the wall go?', $refused->text('title'));
        $other = $this->again($second);
        self::assertSame(
            [$first->text('id'), 'Where does the wall go?', 6, 2],
            [
                $other->text('other.id'),
                $other->text('other.title'),
                $other->int('other.students'),
                $other->int('other.groups'),
            ],
        );
        self::assertSame('out', $this->phase($first), 'nothing has happened yet');
        foreach (['begin', 'reopen'] as $kind) {
            $this->command($second->text('id'), $kind)->is(409);
        }
        $this->ask('POST', '/api/staff/lessons/'.$second->text('id').'/current', [])->is(409);
        $this->command($second->text('id'), 'sendOut', leaving: $second->text('id'))->is(409);
    }

    public function test_cancelled_while_students_look_everything_is_as_it_was(): void
    {
        self::mockTime();
        [$first, $second, $phone] = $this->twoLessons();
        $before = $this->again($first);
        $ready = $this->again($second);
        $this->command($second->text('id'), 'sendOut', leaving: $first->text('id'))->is(200);
        $this->work();
        self::mockTime('+20 seconds');
        $this->work();
        self::assertNull($this->again($first)->at('endedAt'), 'not while it can be taken back');
        $this->asStudent($phone);
        self::assertSame($second->text('id'), $this->ask('GET', '/api/student/now')->text('lesson'));
        $this->asTeacher();

        $this->command($second->text('id'), 'takeBack')->is(200);
        $this->work();
        $after = $this->again($first);
        self::assertTrue($after->at('current'));
        self::assertNull($after->at('endedAt'));
        self::assertEquals($before->at('round.moments'), $after->at('round.moments'));
        self::assertSame($before->at('order.now'), $after->at('order.now'));
        self::assertEquals($before->at('floor.groups'), $after->at('floor.groups'));
        $this->asStudent($phone);
        $now = $this->ask('GET', '/api/student/now');
        self::assertSame(
            [$first->text('id'), $before->text('round.id')],
            [$now->text('lesson'), $now->text('round')],
        );
        $this->asTeacher();

        $planned = $this->again($second);
        self::assertNull($planned->at('order.now'), 'the other has not begun');
        self::assertEquals($ready->at('findings'), $planned->at('findings'));
        self::assertEquals($ready->at('copies'), $planned->at('copies'));
        self::assertEquals($ready->at('rooms'), $planned->at('rooms'));
    }

    public function test_once_groups_are_out_the_lesson_they_left_is_over(): void
    {
        self::mockTime();
        [$first, $second] = $this->twoLessons();
        $this->command($second->text('id'), 'sendOut', leaving: $first->text('id'))->is(200);
        self::mockTime('+61 seconds');
        $this->work();
        self::assertIsInt($this->again($first)->at('endedAt'));
        self::assertNull($this->again($second)->at('endedAt'));
        $this->command($second->text('id'), 'takeBack')->is(422);
    }

    public function test_a_round_that_the_next_one_called_back_goes_on_when_that_is_cancelled(): void
    {
        self::mockTime();
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->setRound($id, ['lookSeconds' => 0, 'autoCallBack' => true, 'callBackSeconds' => 30]);
        $order = $this->ask('PUT', "/api/staff/lessons/{$id}/running-order", [
            'basedOn' => $lesson->int('order.step'),
            'segments' => [
                ...array_map(
                    static fn (mixed $segment): array => \is_array($segment)
                        ? ['id' => $segment['id'], 'kind' => $segment['kind'], 'minutes' => $segment['minutes']]
                        : [],
                    $lesson->list('order.segments'),
                ),
                ['kind' => 'round', 'minutes' => 5],
            ],
        ])->is(200);
        $segments = $order->list('segments');
        $last = $order->text('segments.'.(\count($segments) - 1).'.id');
        $this->ask('PATCH', "/api/staff/segments/{$last}", ['lookSeconds' => 30])->is(200);
        $out = $this->command($id, 'sendOut')->is(200);
        self::mockTime('+1 minute');
        $this->ask(
            'POST',
            "/api/staff/lessons/{$id}/commands",
            ['kind' => 'sendOut', 'segment' => $last],
            ['Idempotency-Key' => 'next-round-1'],
        )->is(200);
        $this->command($id, 'takeBack')->is(200);
        $after = $this->again($lesson);
        self::assertSame($out->at('order.now'), $after->at('order.now'));
        self::assertEquals($out->at('round.moments'), $after->at('round.moments'));
        self::assertSame(
            [1],
            $this->db()->fetchFirstColumn('SELECT COUNT(*) FROM run WHERE ended_at IS NULL AND NOT taken_back'),
        );
    }

    public function test_nobody_has_arrived_in_next_weeks_lesson_nor_in_one_the_class_is_not_in(): void
    {
        self::mockTime();
        [$first, $second] = $this->twoLessons();
        $next = $this->ask('POST', '/api/staff/classes/'.$first->text('classId').'/lessons', [
            'title' => 'Next week',
            'minutes' => 50,
            'startsAt' => 1000 * (time() + 7 * 86_400),
        ])->is(200);
        foreach ([[$first, 1], [$second, 0], [$next, 0]] as [$lesson, $arrived]) {
            self::assertCount(
                $arrived,
                array_filter(
                    $this->again($lesson)->list('students'),
                    static fn (mixed $one): bool => \is_array($one) && 'never' !== $one['because'],
                ),
            );
        }
    }

    public function test_a_page_left_open_yesterday_is_no_arrival_today(): void
    {
        self::mockTime('2026-03-02 09:00:00');
        $lesson = $this->readyLesson();
        $this->join($lesson, $lesson->text('students.0.id'));
        self::assertSame(1, $this->arrivals($lesson));
        self::mockTime('2026-03-03 08:00:00');
        $tomorrow = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Tuesday',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'groups' => 'same',
        ])->is(200);
        $this->ask('POST', '/api/staff/lessons/'.$tomorrow->text('id').'/current', [])->is(200);
        self::assertSame(0, $this->arrivals($tomorrow));
    }

    public function test_shortly_before_a_lesson_students_come_into_it_and_not_into_the_one_that_is_over(): void
    {
        self::mockTime('2026-03-02 09:00:00');
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->setRound($id, ['lookSeconds' => 0, 'callBackSeconds' => 0]);
        $phone = $this->join($lesson, $lesson->text('students.0.id'));
        $next = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'The next',
            'minutes' => 50,
            'from' => $id,
            'groups' => 'same',
            'startsAt' => 1000 * strtotime('2026-03-02 10:00:00'),
        ])->is(200);
        $this->command($id, 'sendOut')->is(200);
        self::mockTime('2026-03-02 09:40:00');
        $this->ask('GET', "/api/staff/lessons/{$id}");
        $this->work();
        self::assertSame($id, $this->lessonOf($phone), 'not while it is on');
        $this->command($id, 'callBack', 0)->is(200);
        $this->command($id, 'end')->is(200);
        self::mockTime('2026-03-02 09:41:00');
        $this->work();
        self::assertSame($next->text('id'), $this->lessonOf($phone));
    }

    private function lessonOf(string $phone): string
    {
        $this->asStudent($phone);
        $lesson = $this->ask('GET', '/api/student/now')->text('lesson');
        $this->asTeacher();

        return $lesson;
    }

    private function arrivals(Json $lesson): int
    {
        return \count(
            array_filter(
                $this->again($lesson)->list('students'),
                static fn (mixed $one): bool => \is_array($one) && 'never' !== $one['because'],
            ),
        );
    }

    /**
     * @return array{Json, Json, string} a lesson whose groups are out, another of the class that is ready, and the
     *     device of a student
     */
    private function twoLessons(): array
    {
        $first = $this->readyLesson();
        $phone = $this->join($first, $first->text('floor.groups.0.students.0'));
        $this->setRound($first->text('id'), ['lookSeconds' => 0]);
        $second = $this->ask('POST', '/api/staff/classes/'.$first->text('classId').'/lessons', [
            'title' => 'Spring tide',
            'minutes' => 50,
            'from' => $first->text('id'),
            'groups' => 'same',
        ])->is(200);
        $this->setRound($second->text('id'), ['lookSeconds' => 60]);
        $this->ask('POST', '/api/staff/rounds/'.$second->text('round.id').'/copies')->is(200);
        $this->command($first->text('id'), 'sendOut')->is(200);
        $this->work();

        return [$first, $this->again($second), $phone];
    }

    private function phase(Json $lesson): string
    {
        $moments = $this->again($lesson)->at('round.moments');

        return \is_array($moments) && null !== $moments['outAt'] && null === $moments['calledAt'] ? 'out' : 'other';
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }
}
