<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The running order as it should be. What is not in it is taken out; what was taken out before comes back with its id.
 */
final readonly class ChangeOrder
{
    /**
     * @param int                  $basedOn  the step the change was made on
     * @param list<OrderedSegment> $segments
     */
    public function __construct(
        public int $basedOn,
        #[Assert\Valid,
            Assert\Count(min: 1, max: 25, minMessage: 'lesson.running_order_needs_at_least_one'),]
        public array $segments,
    ) {
    }
}
