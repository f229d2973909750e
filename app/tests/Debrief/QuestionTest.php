<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

use FreshHuddle\App\Tests\Support\Json;

/**
 * Quick questions to everybody.
 */
final class QuestionTest extends DebriefTestCase
{
    /** @var list<string> */
    private array $tokens;

    protected function setUp(): void
    {
        parent::setUp();
        $this->tokens = $this->workDone();
    }

    public function test_it_is_asked_answered_and_shown_as_a_sum(): void
    {
        $id = $this->asked();
        self::assertSame('Build it?', $this->seen(0)->text('question.text'));
        $this->answer(0, $id, 'Yes')->is(200);
        $this->answer(1, $id, 'No')->is(200);
        $this->answer(2, $id, 'No')->is(200);
        $asked = $this->debrief('GET');
        self::assertSame([1, 2], array_column($asked->list('asked.question.sum.tallies'), 'count'));
        self::assertCount(3, $asked->list('asked.missing'));
        self::assertNull($this->seen(3)->at('question.sum'), 'nobody sees what others say before it is shown');
        $this->debrief('PATCH', "/questions/{$id}", ['shown' => true])->is(200);
        $seen = $this->seen(3);
        self::assertSame([1, 2], array_column($seen->list('question.sum.tallies'), 'count'));
        self::assertSame([], $seen->list('question.sum.sources'), 'and never who');
    }

    public function test_the_last_answer_counts_and_the_page_knows_it(): void
    {
        $id = $this->asked();
        self::assertNull($this->mine(0, $id)->at('answer'));
        $this->answer(0, $id, 'Yes')->is(200);
        $this->answer(0, $id, 'No')->is(200);
        self::assertSame('No', $this->mine(0, $id)->text('answer'));
        self::assertSame([0, 1], array_column($this->debrief('GET')->list('asked.question.sum.tallies'), 'count'));
    }

    public function test_words_that_are_the_same_are_counted_together(): void
    {
        $id = $this->asked(['kind' => 'words', 'text' => 'One word']);
        $this->answer(0, $id, 'Trees')->is(200);
        $this->answer(1, $id, 'tree!')->is(200);
        self::assertSame([2], array_column($this->debrief('GET')->list('asked.question.sum.tallies'), 'count'));
        $this->answer(2, $id, '')->is(422);
    }

    public function test_it_becomes_an_exit_question_that_everybody_answers_alone(): void
    {
        $id = $this->asked();
        $this->asTeacher();
        self::assertFalse($this->debrief('GET')->at('asked.isExit'));
        self::assertTrue($this->debrief('POST', "/questions/{$id}/exit")->is(200)->at('asked.isExit'));
        $this->debrief('POST', "/questions/{$id}/exit")->is(200);
        $lesson = $this->ask('GET', "/api/staff/lessons/{$this->id}")->is(200);
        self::assertSame(['Exit question: Build it?'], array_column($lesson->list('alone'), 'title'));
        $kinds = array_column($lesson->list('order.segments'), 'kind', 'id');
        self::assertSame('alone', $kinds[$lesson->text('alone.0.segment')]);
        $this->debrief('POST', '/questions/01a230ee-46bc-72a2-a569-ee4c37a0d48b/exit')->is(404);
        $this->asStudent($this->tokens[0]);
        $this->ask('POST', "/api/staff/lessons/{$this->id}/debrief/questions/{$id}/exit")->is(401);
    }

    public function test_closed_it_takes_no_answer_and_is_gone_unless_it_is_shown(): void
    {
        $id = $this->asked();
        $this->debrief('PATCH', "/questions/{$id}", ['open' => false])->is(200);
        self::assertNull($this->seen(0)->at('question'));
        $this->answer(0, $id, 'Yes')->is(404);
        $this->debrief('PATCH', "/questions/{$id}", ['open' => true])->is(200);
        $this->answer(0, $id, 'Yes')->is(200);
    }

    public function test_the_next_question_closes_the_one_before_and_the_end_closes_all(): void
    {
        $first = $this->asked();
        $second = $this->asked(['kind' => 'number', 'text' => 'How high?']);
        $this->answer(0, $first, 'Yes')->is(404);
        $this->answer(0, $second, '3.5')->is(200);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $this->answer(0, $second, '4')->is(404);
        self::assertNull($this->seen(0)->at('question'));
    }

    public function test_another_class_neither_sees_nor_answers_it(): void
    {
        $id = $this->asked();
        $mine = $this->id;
        $theirs = $this->workDone();
        $this->asStudent($theirs[0]);
        $this->ask('PUT', "/api/student/questions/{$id}/answer", ['answer' => 'Yes'])->is(404);
        $this->ask('GET', "/api/student/questions/{$id}/answer")->is(404);
        $this->asTeacher();
        $this->ask('PATCH', "/api/staff/lessons/{$this->id}/debrief/questions/{$id}", ['shown' => true])->is(404);
        self::assertSame(0, $this->ask('GET', "/api/staff/lessons/{$mine}/debrief")->int('asked.question.sum.answered'));
    }

    public function test_a_question_nobody_could_answer_is_refused_at_its_field(): void
    {
        $refused = $this->debrief('POST', '/questions', ['kind' => 'words', 'text' => '  '])->is(422);
        self::assertSame('text', $refused->text('errors.0.field'));
        $this->debrief('POST', '/questions', ['kind' => 'choice', 'text' => 'Build it?', 'choices' => ['Yes']])->is(422);
        $this->debrief('POST', '/questions', ['kind' => 'essay', 'text' => 'Why?'])->is(422);
    }

    public function test_answers_reach_every_screen_once_they_are_shown(): void
    {
        $id = $this->asked();
        $this->debrief('PATCH', "/questions/{$id}", ['shown' => true])->is(200);
        $this->answer(0, $id, 'Yes')->is(200);
        $revision = $this->seen(1)->int('revision');
        sleep(1);
        $this->work();
        self::assertGreaterThan($revision, $this->seen(1)->int('revision'));
    }

    /**
     * @param array<string, mixed> $question
     */
    private function asked(array $question = ['kind' => 'choice', 'text' => 'Build it?', 'choices' => ['Yes', 'No']]): string
    {
        return $this->debrief('POST', '/questions', $question)->is(200)->text('asked.question.id');
    }

    private function answer(int $student, string $question, string $answer): Json
    {
        $this->asStudent($this->tokens[$student]);
        $done = $this->ask('PUT', "/api/student/questions/{$question}/answer", ['answer' => $answer]);
        $this->asTeacher();

        return $done;
    }

    private function mine(int $student, string $question): Json
    {
        $this->asStudent($this->tokens[$student]);
        $mine = $this->ask('GET', "/api/student/questions/{$question}/answer")->is(200);
        $this->asTeacher();

        return $mine;
    }

    private function seen(int $student): Json
    {
        $this->asStudent($this->tokens[$student]);
        $seen = $this->ask('GET', '/api/student/debrief')->is(200);
        $this->asTeacher();

        return $seen;
    }
}
