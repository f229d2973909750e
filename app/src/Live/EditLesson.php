<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is.
 */
final readonly class EditLesson
{
    public function __construct(
        #[Assert\NotBlank(message: 'A lesson needs a title.', allowNull: true, normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'A title has at most 120 signs.')]
        public ?string $title = null,
        #[Assert\Range(notInRangeMessage: 'Between 5 and 600 minutes, please.', min: 5, max: 600)]
        public ?int $minutes = null,
        #[Assert\Length(max: 2000, maxMessage: 'Instructions have at most 2,000 signs.')]
        public ?string $instructions = null,
        #[Assert\Range(notInRangeMessage: 'Between 1 and 600 minutes, please.', min: 1, max: 600)]
        public ?int $roundMinutes = null,
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
