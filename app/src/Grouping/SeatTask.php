<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SeatTask
{
    /**
     * @param list<int> $numbers of the seats, from 1
     */
    public function __construct(
        #[Assert\Count(min: 1, max: 40, minMessage: 'For which numbers?'), Assert\All([new Assert\Range(notInRangeMessage: 'Seats from 1 to 40, please.', min: 1, max: 40)])]
        public array $numbers,
        #[Assert\NotBlank(message: 'What is the task?', normalizer: 'trim'), Assert\Length(max: 200, maxMessage: 'At most 200 signs, please.')]
        public string $task,
    ) {
    }
}
