<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\Core\Materials\HandOutWay;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What one group gets of a worksheet, where it is something else than all get.
 */
final readonly class CellPart
{
    /**
     * @param int $group its place among the groups of the round, from 0
     */
    public function __construct(
        #[Assert\PositiveOrZero]
        public int $group,
        public HandOutWay $way,
        #[Assert\Length(max: 40)]
        public string $variant = '',
    ) {
    }
}
