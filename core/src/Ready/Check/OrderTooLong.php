<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\Weight;

/**
 * The running order is longer than the lesson.
 */
final readonly class OrderTooLong implements Check
{
    public function find(Plan $plan): array
    {
        $sum = array_sum(array_map(static fn (array $segment): int => $segment[1], $plan->order));

        return $sum <= $plan->minutes
            ? []
            : [
                new Finding(
                    'orderTooLong',
                    Weight::Stop,
                    new Message('ready.order_too_long', ['planned' => $sum, 'minutes' => $plan->minutes]),
                    Mend::Order,
                ),
            ];
    }
}
