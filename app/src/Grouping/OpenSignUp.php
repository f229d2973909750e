<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class OpenSignUp
{
    /**
     * @param int      $seats   at each table
     * @param int|null $minutes until it closes by itself and the rest is seated; null: when the teacher says
     */
    public function __construct(
        #[Assert\Range(notInRangeMessage: 'Between 2 and 40 seats, please.', min: 2, max: 40)]
        public int $seats,
        #[Assert\Range(notInRangeMessage: 'Between 1 and 600 minutes, please.', min: 1, max: 600)]
        public ?int $minutes = null,
    ) {
    }
}
