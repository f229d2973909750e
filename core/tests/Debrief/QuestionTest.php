<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Debrief;

use FreshHuddle\Core\Debrief\Exception\UnusableQuestion;
use FreshHuddle\Core\Debrief\Question\Question;
use FreshHuddle\Core\Debrief\Question\QuestionKind;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A quick question, and what is an answer to it.
 */
final class QuestionTest extends TestCase
{
    public function test_a_choice_is_answered_with_one_of_its_choices(): void
    {
        $question = new Question(QuestionKind::Choice, ' Build  it? ', ['Yes', ' No ', 'Yes', '']);
        self::assertSame('Build it?', $question->text);
        self::assertSame(['Yes', 'No'], $question->choices);
        self::assertSame('{"c2":true}', $question->read('No'));
        $this->expectException(UnusableValue::class);
        $question->read('Perhaps');
    }

    public function test_words_are_kept_as_a_line(): void
    {
        $question = new Question(QuestionKind::Words, 'One word for the sea', ['left', 'out']);
        self::assertSame([], $question->choices);
        self::assertSame('cold and grey', $question->read(" cold \n and  grey "));
        $this->expectException(UnusableValue::class);
        $question->read(str_repeat('x', 61));
    }

    public function test_a_number_is_a_number(): void
    {
        $question = new Question(QuestionKind::Number, 'How high?');
        self::assertSame('3.5', $question->read('3.5'));
        $this->expectException(UnusableValue::class);
        $question->read('high');
    }

    public function test_nothing_is_no_answer(): void
    {
        $this->expectException(UnusableValue::class);
        (new Question(QuestionKind::Words, 'Why?'))->read("\u{200b} ");
    }

    /**
     * @return iterable<string, array{QuestionKind, string, list<string>}>
     */
    public static function unusable(): iterable
    {
        yield 'no question' => [QuestionKind::Words, " \u{200b}", []];
        yield 'too long' => [QuestionKind::Words, str_repeat('x', 201), []];
        yield 'one choice' => [QuestionKind::Choice, 'Build it?', ['Yes', 'Yes ']];
        yield 'nine choices' => [QuestionKind::Choice, 'Which?', ['1', '2', '3', '4', '5', '6', '7', '8', '9']];
        yield 'a long choice' => [QuestionKind::Choice, 'Which?', ['1', str_repeat('x', 61)]];
    }

    /**
     * @param list<string> $choices
     */
    #[DataProvider('unusable')]
    public function test_a_question_nobody_could_answer_is_refused(
        QuestionKind $kind,
        string $text,
        array $choices,
    ): void {
        $this->expectException(UnusableQuestion::class);
        new Question($kind, $text, $choices);
    }
}
