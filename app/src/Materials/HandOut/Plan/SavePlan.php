<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: who gets what.
 */
final readonly class SavePlan
{
    /**
     * @param list<RowPlan> $rows all of them, in order
     * @param list<string>  $knew the originals that stood in the plan when it was changed: what somebody else has put
     *                            in since stays
     */
    public function __construct(
        #[Assert\Count(max: 20, maxMessage: 'materials.plan_holds_at_most_20'), Assert\Valid]
        public array $rows,
        #[Assert\Count(max: 40), Assert\All([new Id()])]
        public array $knew = [],
    ) {
    }
}
