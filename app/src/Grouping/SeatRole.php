<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SeatRole
{
    /**
     * @param int    $number of the seat, from 1
     * @param string $role   lead, scribe, …
     */
    public function __construct(
        #[Assert\Range(notInRangeMessage: 'Seats from 1 to 40, please.', min: 1, max: 40)]
        public int $number,
        #[Assert\NotBlank(message: 'What is the role called?', normalizer: 'trim'), Assert\Length(max: 40, maxMessage: 'At most 40 signs, please.')]
        public string $role,
    ) {
    }
}
