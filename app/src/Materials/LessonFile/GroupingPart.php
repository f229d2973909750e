<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Seat\NumberPlan;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The groups of a lesson in its file: how they are made, and what they are called; never who is in them.
 */
final readonly class GroupingPart
{
    /**
     * @param list<string> $groups names, in the order of the floor
     */
    public function __construct(
        #[Assert\Length(max: 80)]
        public string $name,
        #[Assert\Valid]
        public DeskSettings $settings,
        #[Assert\Valid]
        public NumberPlan $numbers,
        #[Assert\Count(max: 400), Assert\All([new Assert\Length(max: 60)])]
        public array $groups,
    ) {
    }
}
