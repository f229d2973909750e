<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\Core\Materials\HandOutWay;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A row of the plan as it is wanted.
 */
final readonly class RowPlan
{
    /**
     * @param HandOutWay       $way       of all groups of which nothing else is said
     * @param list<CellView>   $cells
     * @param string|null      $opensWith the segment it opens with, in which everybody works alone with a copy each;
     *     null: it opens with its round
     * @param ByAttribute|null $by        goes before the variant of a group, where it says something
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
        #[Id]
        public ?string $opensWith = null,
    ) {
    }
}
