<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * Answers that are taken for the same.
 */
final readonly class LikeAnswers
{
    /**
     * @param non-empty-list<string> $forms   the different texts, as they were first written
     * @param list<string>           $sources who has written one of them, in the order in which they were given
     * @param bool                   $apart   taken out of like ones by hand
     */
    public function __construct(public array $forms, public array $sources, public bool $apart = false)
    {
    }
}
