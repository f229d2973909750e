<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: students choose their own groups, until when, with so many seats.
 */
final readonly class OpenSignUp
{
    /**
     * @param int      $seats   at each table
     * @param int|null $minutes until it closes by itself and the rest is seated; null: when the teacher says
     */
    public function __construct(
        #[Assert\Range(notInRangeMessage: 'grouping.between_2_and_40_seats', min: 2, max: 40)]
        public int $seats,
        #[Assert\Range(notInRangeMessage: 'grouping.between_1_and_600_minutes', min: 1, max: 600),]
        public ?int $minutes = null,
    ) {
    }
}
