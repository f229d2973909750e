<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Notice;

use FreshHuddle\Core\Visible;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a message to be sent at a set time of a round.
 */
final readonly class PrepareNotice
{
    /**
     * @param bool $beforeEnd counted back from the end of the work; or else on from its beginning
     */
    public function __construct(
        public bool $beforeEnd,
        #[Assert\Range(notInRangeMessage: 'lesson.notice_between_0_and_600_minutes', min: 0, max: 36_000),]
        public int $seconds,
        #[Assert\NotBlank(message: 'lesson.notice_needs_words', normalizer: [Visible::class, 'or'])]
        #[Assert\Length(max: 280, maxMessage: 'lesson.notice_at_most_280_characters'),]
        public string $text,
    ) {
    }
}
