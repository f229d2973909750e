<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a student's answer.
 */
final readonly class AnswerQuestion
{
    /**
     * @param string $answer the choice itself, words, or a number
     */
    public function __construct(#[Assert\Length(max: 200)] public string $answer)
    {
    }
}
