<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\Core\Materials\HandOutWay;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A row of the plan as it is wanted.
 */
final readonly class RowPlan
{
    /**
     * @param HandOutWay       $way   of all groups of which nothing else is said
     * @param list<CellView>   $cells
     * @param ByAttribute|null $by    goes before the variant of a group, where it says something
     */
    public function __construct(
        #[Id]
        public string $original,
        public HandOutWay $way,
        #[Assert\Count(max: 400), Assert\Valid]
        public array $cells = [],
        public string $variant = '',
        #[Assert\Valid]
        public ?ByAttribute $by = null,
    ) {
    }
}
