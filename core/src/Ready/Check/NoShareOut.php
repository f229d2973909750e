<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\Weight;

/**
 * Groups work, and there is no time left to talk about it.
 */
final readonly class NoShareOut implements Check
{
    public function find(Plan $plan): array
    {
        $rounds = array_filter($plan->order, static fn (array $segment): bool => SegmentKind::Round === $segment[0]);
        $share = array_filter(
            $plan->order,
            static fn (array $segment): bool => SegmentKind::ShareOut === $segment[0] && $segment[1] > 0,
        );

        return [] === $rounds || [] !== $share
            ? []
            : [new Finding('noShareOut', Weight::Look, new Message('ready.no_share_out', []), Mend::Order)];
    }
}
