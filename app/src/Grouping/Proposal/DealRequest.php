<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\Core\Grouping\Shape\Remainder;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: put students into groups at random, or mixed by level.
 */
final readonly class DealRequest
{
    /**
     * @param int|null    $groups so many groups; null where a size is given
     * @param int|null    $size   so many in each; null where a number of groups is given
     * @param int|null    $seed   the same seed deals the same; null: any
     * @param string|null $mix    the attribute to be mixed by; null: at random
     */
    public function __construct(
        public int $basedOn,
        #[Assert\Range(notInRangeMessage: 'grouping.between_1_and_400_groups', min: 1, max: 400),]
        public ?int $groups = null,
        #[Assert\Range(notInRangeMessage: 'grouping.between_1_and_1200_group', min: 1, max: 1_200),]
        public ?int $size = null,
        public Remainder $remainder = Remainder::Spread,
        public ?int $seed = null,
        #[Assert\Length(max: 60)]
        public ?string $mix = null,
    ) {
    }
}
