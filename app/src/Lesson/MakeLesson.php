<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\App\Http\Body\Moment;
use FreshHuddle\App\Lesson\Round\FromGroups;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a new lesson.
 */
final readonly class MakeLesson
{
    /**
     * @param int         $minutes  in all; counts only where it is not begun from another
     * @param int|null    $startsAt milliseconds since 1970; null: in a moment
     * @param string|null $from     a lesson or template to begin from: its running order, times, words and groups
     * @param bool        $template a template of the teacher's own, not a lesson
     * @param string|null $grouping for its round; null: the latest of the class that no lesson has, or else a new one
     */
    public function __construct(
        #[Assert\NotBlank(message: 'lesson.lesson_needs_title', normalizer: 'trim'),
            Assert\Length(max: 120, maxMessage: 'lesson.title_at_most_120_characters'),]
        public string $title,
        #[Assert\Range(notInRangeMessage: 'lesson.between_5_and_600_minutes', min: 5, max: 600)]
        public int $minutes,
        #[Moment]
        public ?int $startsAt = null,
        #[Id]
        public ?string $from = null,
        public FromGroups $groups = FromGroups::Same,
        public bool $template = false,
        #[Id]
        public ?string $grouping = null,
    ) {
    }
}
