<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A segment of a lesson in its file.
 */
final readonly class SegmentPart
{
    /**
     * @param RoundPart|null $round of a segment in groups
     */
    public function __construct(
        public SegmentKind $kind,
        #[Assert\Range(min: 1, max: 600)]
        public int $minutes,
        #[Assert\Length(max: 2_000)]
        public string $instructions = '',
        #[Assert\Valid]
        public ?RoundPart $round = null,
    ) {
    }
}
