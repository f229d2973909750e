<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

/**
 * A quick question, for the teacher.
 */
final readonly class AskedView
{
    /**
     * @param QuestionView $question with what was answered
     * @param bool         $shown    everybody sees what was answered
     * @param list<string> $missing  who is here and has not answered, by id
     * @param bool         $isExit   it is an exit question, too
     */
    public function __construct(
        public QuestionView $question,
        public bool $shown,
        public array $missing,
        public bool $isExit,
    ) {
    }
}
