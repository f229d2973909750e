<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: use the groups that were proposed.
 */
final readonly class TakeRequest
{
    /**
     * @param int                 $basedOn the step the proposal was made on
     * @param string              $what    a word for what was done: balance, repair, …
     * @param list<ProposedRound> $rounds  the last one goes on this floor; the others become groupings of their own
     */
    public function __construct(
        public int $basedOn,
        #[Assert\Choice(
            choices: ['deal', 'balance', 'countOff', 'byTable', 'jigsaw', 'rotation', 'repair', 'variant'],
        ),]
        public string $what,
        #[Assert\Valid, Assert\Count(min: 1, max: 12)]
        public array $rounds,
    ) {
    }
}
