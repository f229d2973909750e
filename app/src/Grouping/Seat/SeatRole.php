<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * A role that goes with a seat number.
 */
final readonly class SeatRole
{
    /**
     * @param int    $number of the seat, from 1
     * @param string $role   lead, scribe, …
     */
    public function __construct(
        #[Assert\Range(notInRangeMessage: 'grouping.seats_from_1_to_40', min: 1, max: 40)]
        public int $number,
        #[Assert\NotBlank(message: 'grouping.what_role_called', normalizer: 'trim'),
            Assert\Length(max: 40, maxMessage: 'grouping.at_most_40_characters'),]
        public string $role,
    ) {
    }
}
