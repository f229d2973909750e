<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Materials\HandOut\Plan\ByAttribute;
use FreshHuddle\Core\Materials\HandOutWay;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A worksheet a round hands out.
 */
final readonly class RowPart
{
    /**
     * @param int            $original  its place among the worksheets of the file, from 0
     * @param int|null       $opensWith the place of the segment in which everybody does it alone; null: it opens with
     *                                  the round
     * @param list<CellPart> $cells
     */
    public function __construct(
        #[Assert\PositiveOrZero]
        public int $original,
        public HandOutWay $way,
        #[Assert\Length(max: 40)]
        public string $variant = '',
        #[Assert\PositiveOrZero]
        public ?int $opensWith = null,
        #[Assert\Valid]
        public ?ByAttribute $by = null,
        #[Assert\Valid, Assert\Count(max: 400)]
        public array $cells = [],
    ) {
    }
}
