<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\MomentsJson;
use FreshHuddle\Core\Lesson\RoundState;

/**
 * A lesson's own page, while it is planned.
 */
final class LessonTest extends AppTestCase
{
    public function test_title_minutes_and_the_round_are_set(): void
    {
        $id = $this->newLesson()->text('id');
        $this->ask('PATCH', "/api/staff/lessons/{$id}", [
            'title' => ' Floods ',
            'minutes' => 60,
            'startsAt' => 1_800_000_000_000,
        ])->is(200);
        $this->setRound($id, [
            'instructions' => 'Read.',
            'minutes' => 12,
            'lookSeconds' => 0,
            'callBackSeconds' => 10,
            'autoCallBack' => true,
        ])->is(200);
        $lesson = $this->ask('GET', "/api/staff/lessons/{$id}");
        self::assertSame(
            ['Floods', 60, 1_800_000_000_000, 'Read.', 12, 0, 10, true],
            [
                $lesson->at('title'),
                $lesson->at('minutes'),
                $lesson->at('startsAt'),
                $lesson->at('round.instructions'),
                $lesson->at('round.minutes'),
                $lesson->at('round.lookSeconds'),
                $lesson->at('round.callBackSeconds'),
                $lesson->at('round.autoCallBack'),
            ],
        );
        foreach ([['title' => ' '], ['minutes' => 4]] as $wrong) {
            self::assertSame(
                array_key_first($wrong),
                $this->ask('PATCH', "/api/staff/lessons/{$id}", $wrong)
                    ->is(422)
                    ->text('errors.0.field'),
            );
        }
        foreach (
            [
                ['minutes' => 0],
                ['lookSeconds' => 121],
                ['callBackSeconds' => -1],
                ['instructions' => str_repeat('x', 2001)],
            ] as $wrong
        ) {
            self::assertSame(array_key_first($wrong), $this->setRound($id, $wrong)->is(422)->text('errors.0.field'));
        }
    }

    public function test_the_same_press_sent_twice_is_done_once(): void
    {
        $id = $this->readyLesson()->text('id');
        $key = ['Idempotency-Key' => 'press-0001'];
        foreach ([1, 2] as $time) {
            $said = $this->ask(
                'POST',
                "/api/staff/lessons/{$id}/commands",
                ['kind' => 'say', 'text' => 'Two minutes.'],
                $key,
            )->is(200);
            self::assertCount(1, $said->list('notices'), "press {$time}");
        }
        $this->ask('POST', "/api/staff/lessons/{$id}/commands", ['kind' => 'say', 'text' => 'x'])->is(400);
    }

    public function test_the_state_kept_is_what_the_events_fold_to(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->command($id, 'sendOut')->is(200);
        $this->command($id, 'takeBack')->is(200);
        $this->setRound($id, ['lookSeconds' => 0]);
        $this->command($id, 'sendOut')->is(200);
        $this->command($id, 'say', text: 'Go on.')->is(200);
        $this->command($id, 'changeEnd', endsAt: (int) (microtime(true) * 1000) + 300_000)->is(200);
        $this->command($id, 'callBack', seconds: 60)->is(200);
        $this->command($id, 'keepWorking')->is(200);
        $now = $this->command($id, 'callBack', seconds: 0)->is(200);
        $events = $this->service(EventStore::class)->ofRound($id, $lesson->text('round.id'));
        $list = iterator_to_array($events);
        self::assertSame(range(1, 10), array_keys($list), 'numbered without a gap');
        self::assertEquals(Moments::fromState(RoundState::after($list)), MomentsJson::read($now->at('round.moments')));
    }

    public function test_what_makes_no_sense_is_refused_with_a_reason(): void
    {
        $empty = $this->newLesson(3)->text('id');
        self::assertStringContainsString('group', $this->command($empty, 'sendOut')->is(422)->text('title'));
        self::assertStringContainsString(
            'No groups are out',
            $this->command($empty, 'callBack')->is(422)->text('title'),
        );
        $this->command($empty, 'say', text: ' ')->is(422);
        $this->command($empty, 'say', text: str_repeat('x', 281))->is(422);
        $this->command($empty, 'fly')->is(422);
    }

    public function test_a_refused_command_can_be_given_again_under_the_same_key(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $key = ['Idempotency-Key' => 'press-0002'];
        $this->ask('POST', "/api/staff/lessons/{$id}/commands", ['kind' => 'callBack'], $key)->is(422);
        $this->command($id, 'sendOut')->is(200);
        self::assertNotNull(
            $this->ask('POST', "/api/staff/lessons/{$id}/commands", ['kind' => 'callBack'], $key)
                ->is(200)
                ->at('round.moments.backAt'),
        );
    }

    public function test_sending_out_brings_the_class_into_this_lesson(): void
    {
        $first = $this->readyLesson();
        $second = $this->ask('POST', '/api/staff/classes/'.$first->text('classId').'/lessons', [
            'title' => 'Another',
            'minutes' => 50,
        ])->is(200);
        self::assertFalse($second->at('current'));
        self::assertTrue(
            $this->ask('POST', '/api/staff/lessons/'.$second->text('id').'/current', [])
                ->is(200)
                ->at('current'),
        );
        self::assertTrue($this->command($first->text('id'), 'sendOut')->at('current'));
    }

    public function test_anothers_lesson_takes_no_commands(): void
    {
        $id = $this->readyLesson()->text('id');
        $this->asTeacher($this->newTeacher('other@larkmouth.example'));
        $this->ask('GET', "/api/staff/lessons/{$id}")->is(404);
        $this->command($id, 'sendOut')->is(404);
    }

    public function test_sending_out_from_another_lesson_takes_open_phones_along(): void
    {
        $first = $this->readyLesson(4, 2);
        $phone = $this->join($first, $first->text('students.0.id'));
        $this->command($first->text('id'), 'sendOut')->is(200);
        $second = $this->ask('POST', '/api/staff/classes/'.$first->text('classId').'/lessons', [
            'title' => 'The next one',
            'minutes' => 30,
        ])->is(200);
        $this->ask('POST', '/api/staff/groupings/'.$second->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 2,
        ])->is(200);
        $this->asStudent($phone);
        self::assertSame($first->text('id'), $this->ask('POST', '/api/student/sign')->text('lesson'));
        $this->asTeacher();
        $this->command($second->text('id'), 'sendOut', leaving: $first->text('id'))->is(200);
        $this->asStudent($phone);
        // The next sign of life says which lesson it is, so that numbers of two lessons are never compared.
        self::assertSame($second->text('id'), $this->ask('POST', '/api/student/sign')->is(200)->text('lesson'));
        $now = $this->ask('GET', '/api/student/now')->is(200);
        self::assertSame([$second->text('id'), 'The next one'], [$now->text('lesson'), $now->text('lessonTitle')]);
        $this->asTeacher();
    }
}
