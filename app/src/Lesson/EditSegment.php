<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is. What only a round has is passed over where the segment is none.
 */
final readonly class EditSegment
{
    public function __construct(
        #[Assert\Length(max: 2000, maxMessage: 'Instructions have at most 2,000 signs.')]
        public ?string $instructions = null,
        #[Assert\Range(notInRangeMessage: 'Between 1 and 600 minutes, please.', min: 1, max: 600)]
        public ?int $minutes = null,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 120 seconds, please.', min: 0, max: 120)]
        public ?int $lookSeconds = null,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 120 seconds, please.', min: 0, max: 120)]
        public ?int $callBackSeconds = null,
        public ?bool $autoCallBack = null,
        #[Id]
        public ?string $groupingId = null,
    ) {
    }
}
