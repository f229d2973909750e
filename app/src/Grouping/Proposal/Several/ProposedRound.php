<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Several;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The groups proposed for one round.
 */
final readonly class ProposedRound
{
    /**
     * @param string              $name   what the grouping of this round is called; '' for the one at the desk
     * @param list<ProposedGroup> $groups
     */
    public function __construct(
        #[Assert\Length(max: 80)]
        public string $name,
        #[Assert\Valid, Assert\Count(max: 400)]
        public array $groups,
    ) {
    }
}
