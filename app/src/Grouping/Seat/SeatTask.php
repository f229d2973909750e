<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * A task for certain seat numbers.
 */
final readonly class SeatTask
{
    /**
     * @param list<int> $numbers of the seats, from 1
     */
    public function __construct(
        #[Assert\Count(min: 1, max: 40, minMessage: 'grouping.for_which_numbers'),
            Assert\All([new Assert\Range(notInRangeMessage: 'grouping.seats_from_1_to_40', min: 1, max: 40)]),]
        public array $numbers,
        #[Assert\NotBlank(message: 'grouping.what_task', normalizer: 'trim'),
            Assert\Length(max: 200, maxMessage: 'account.at_most_200_characters'),]
        public string $task,
    ) {
    }
}
