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
 * The course portal has lost when the work is due, or it is due before the lesson.
 */
final readonly class DueTime implements Check
{
    public function find(Plan $plan): array
    {
        $lost = array_values(
            array_filter($plan->posts, static fn (PlannedPost $post): bool => $post->dueAt !== $post->wanted),
        );
        $early = array_values(
            array_filter(
                $plan->posts,
                static fn (PlannedPost $post): bool => null !== $post->wanted
                    && null !== $plan->startsAt
                    && $post->wanted < $plan->startsAt,
            ),
        );

        return [
            ...[] === $lost
                ? []
                : [
                    new Finding(
                        'dueTimeLost',
                        Weight::Look,
                        new Message('ready.due_time_lost', [
                            'groups' => Said::some(
                                array_map(static fn (PlannedPost $post): string => $post->name, $lost),
                            ),
                            'count' => \count($lost),
                        ]),
                        Mend::SetUp,
                        $plan->setUp,
                    ),
                ],
            ...[] === $early
                ? []
                : [new Finding('dueTimeEarly', Weight::Look, new Message('ready.due_time_early'), Mend::Sending)],
        ];
    }
}
