<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: groups by goals and rules, for one round or several.
 */
final readonly class ProposeRequest
{
    /**
     * @param int|null                 $seed  null: any
     * @param list<ProposedRound>|null $from  go on from here; null: begin anew
     * @param int                      $forMs how long to look for something better
     */
    public function __construct(
        #[Assert\Valid]
        public DeskSettings $settings,
        public ?int $seed = null,
        #[Assert\Valid, Assert\Count(max: 12)]
        public ?array $from = null,
        #[Assert\Range(min: 1, max: 1500)]
        public int $forMs = 300,
    ) {
    }
}
