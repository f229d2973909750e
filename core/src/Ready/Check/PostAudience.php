<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedPost;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;

/**
 * A post is seen by others than the group it is for, or not by all of it.
 */
final readonly class PostAudience implements Check
{
    public function find(Plan $plan): array
    {
        $wrong = array_values(
            array_filter(
                $plan->posts,
                static fn (PlannedPost $post): bool => [] !== array_diff($post->audience, $post->members)
                    || [] !== array_diff($post->members, $post->audience),
            ),
        );

        return [] === $wrong
            ? []
            : [
                new Finding(
                    'postAudience',
                    Weight::Stop,
                    new Message('ready.post_audience', [
                        'groups' => Said::some(
                            array_map(static fn (PlannedPost $post): string => $post->name, $wrong),
                        ),
                        'count' => \count($wrong),
                    ]),
                    Mend::SetUp,
                    $plan->setUp,
                ),
            ];
    }
}
