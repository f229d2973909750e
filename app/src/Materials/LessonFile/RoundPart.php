<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Lesson\Notice\PrepareNotice;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What a segment in groups has beside other segments.
 */
final readonly class RoundPart
{
    /**
     * @param int                 $grouping its place among the groupings of the file, from 0
     * @param list<PrepareNotice> $notices
     * @param list<RowPart>       $handOut
     */
    public function __construct(
        #[Assert\PositiveOrZero]
        public int $grouping,
        #[Assert\Range(min: 0, max: 120)]
        public int $lookSeconds,
        #[Assert\Range(min: 0, max: 120)]
        public int $callBackSeconds,
        public bool $autoCallBack,
        #[Assert\Valid, Assert\Count(max: 12)]
        public array $notices,
        #[Assert\Valid, Assert\Count(max: 20)]
        public array $handOut,
    ) {
    }
}
