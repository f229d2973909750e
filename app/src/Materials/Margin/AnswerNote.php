<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: an answer to a note in the margin.
 */
final readonly class AnswerNote
{
    /**
     * @param string $answer '' takes it back
     */
    public function __construct(
        #[Assert\Length(max: MarginNote::LONGEST, maxMessage: 'materials.note_at_most_600_characters'),]
        public string $answer,
    ) {
    }
}
