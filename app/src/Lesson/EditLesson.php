<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Http\Body\Moment;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is.
 */
final readonly class EditLesson
{
    /**
     * @param int|null  $startsAt   milliseconds since 1970
     * @param bool|null $locksAtEnd worksheets can only be read when it is over
     * @param bool|null $talkOnly   without worksheets; remembered for the lessons of the class that are planned after
     *                              it
     */
    public function __construct(
        #[Assert\NotBlank(message: 'lesson.lesson_needs_title', allowNull: true, normalizer: 'trim'),
            Assert\Length(max: 120, maxMessage: 'lesson.title_at_most_120_characters'),]
        public ?string $title = null,
        #[Assert\Range(notInRangeMessage: 'lesson.between_5_and_600_minutes', min: 5, max: 600),]
        public ?int $minutes = null,
        #[Moment]
        public ?int $startsAt = null,
        public ?bool $talkOnly = null,
        public ?bool $locksAtEnd = null,
    ) {
    }
}
