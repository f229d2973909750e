<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use FreshHuddle\App\Debrief\Sum\SumView;
use FreshHuddle\Core\Debrief\Question\QuestionKind;

/**
 * A quick question, as everybody sees it.
 */
final readonly class QuestionView
{
    /**
     * @param list<string> $choices
     * @param bool         $open    it takes answers
     * @param SumView|null $sum     what was answered; null where that is not shown
     */
    public function __construct(
        public string $id,
        public QuestionKind $kind,
        public string $text,
        public array $choices,
        public bool $open,
        public ?SumView $sum,
    ) {
    }
}
