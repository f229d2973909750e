<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use FreshHuddle\App\Grouping\Proposal\Why\GoalStandingView;

/**
 * An arrangement that might be taken, or why there is none.
 */
final readonly class ProposalView
{
    /**
     * @param list<ProposedRound>    $rounds    none where rules contradict each other
     * @param list<string>           $unplaced  ids
     * @param list<GoalStandingView> $goals     in the order of the settings, for the first round
     * @param float                  $cost      the weighted sum; 0 is perfect
     * @param bool                   $proven    no better is possible
     * @param int                    $repeats   how often a pair meets again over the rounds
     * @param list<ConflictView>     $conflicts
     * @param list<string>           $notes     worth knowing: “Quayside has nobody for money”
     */
    public function __construct(
        public int $seed,
        public array $rounds,
        public array $unplaced,
        public array $goals,
        public float $cost,
        public bool $proven,
        public int $repeats,
        public array $conflicts,
        public array $notes,
    ) {
    }
}
