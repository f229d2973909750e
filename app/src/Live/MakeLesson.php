<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class MakeLesson
{
    public function __construct(
        #[Assert\NotBlank(message: 'A lesson needs a title.', normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'A title has at most 120 signs.')]
        public string $title,
        #[Assert\Range(notInRangeMessage: 'Between 5 and 600 minutes, please.', min: 5, max: 600)]
        public int $minutes,
    ) {
    }
}
