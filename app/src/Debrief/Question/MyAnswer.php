<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

/**
 * What a student has answered to a quick question.
 */
final readonly class MyAnswer
{
    /**
     * @param string|null $answer in words; null: nothing yet
     */
    public function __construct(public ?string $answer)
    {
    }
}
