<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A whole lesson as its file has it: docs/formats/lesson.md.
 */
final readonly class LessonPlan
{
    /**
     * @param list<GroupingPart> $groupings
     * @param list<SegmentPart>  $segments
     * @param list<SaveOriginal> $originals
     */
    public function __construct(
        #[Assert\NotBlank(normalizer: 'trim'), Assert\Length(max: 120)]
        public string $title,
        #[Assert\Range(min: 5, max: 600)]
        public int $minutes,
        public bool $talkOnly,
        public bool $locksAtEnd,
        #[Assert\Valid, Assert\Count(max: 25)]
        public array $groupings,
        #[Assert\Valid, Assert\Count(min: 1, max: 25)]
        public array $segments,
        #[Assert\Valid, Assert\Count(max: 40)]
        public array $originals,
    ) {
    }
}
