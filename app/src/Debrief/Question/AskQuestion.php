<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use FreshHuddle\Core\Debrief\Question\QuestionKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: asks everybody something.
 */
final readonly class AskQuestion
{
    /**
     * @param list<string> $choices for a choice
     */
    public function __construct(
        public QuestionKind $kind,
        #[Assert\Length(max: 1_000)]
        public string $text,
        #[Assert\Count(max: 20), Assert\All([new Assert\Length(max: 1_000)])]
        public array $choices = [],
    ) {
    }
}
