<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Repair;

use FreshHuddle\App\Grouping\Proposal\ConflictView;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;

/**
 * How the groups go on when somebody is missing or late: shown before it happens.
 */
final readonly class RepairView
{
    /**
     * @param ProposedRound|null $round     null where rules contradict each other
     * @param list<RepairMove>   $moves     seated students who change groups
     * @param list<RepairMove>   $arrivals  who gets a seat
     * @param list<string>       $leaving   ids of absent students whose seats are given up
     * @param list<ConflictView> $conflicts
     */
    public function __construct(
        public ?ProposedRound $round,
        public array $moves,
        public array $arrivals,
        public array $leaving,
        public array $conflicts,
    ) {
    }
}
