<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Grouping\Seat\NumberPlan;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is.
 */
final readonly class SetGrouping
{
    /**
     * @param list<string>|null $groupNames what groups of the class are called, in this order
     */
    public function __construct(
        #[Assert\Length(
            min: 1,
            max: 80,
            minMessage: 'grouping.grouping_needs_name',
            maxMessage: 'grouping.grouping_name_at_most_80_characters',
            normalizer: 'trim',
        ),]
        public ?string $name = null,
        #[Assert\Valid]
        public ?DeskSettings $settings = null,
        #[Assert\Valid]
        public ?NumberPlan $numbers = null,
        #[Assert\Count(max: 200),
            Assert\All([
                new Assert\NotBlank(normalizer: 'trim'),
                new Assert\Length(max: 60, maxMessage: 'grouping.group_name_at_most_60_characters'),
            ]),]
        public ?array $groupNames = null,
    ) {
    }
}
