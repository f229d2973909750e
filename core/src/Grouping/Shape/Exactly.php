<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Shape;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Shape;

/**
 * The sizes of tables that stand on the floor, as they are: even a table of one, where the teacher has made it so.
 */
final readonly class Exactly implements Shape
{
    /**
     * @param list<int> $sizes 0 or more each
     */
    public function __construct(private array $sizes)
    {
    }

    public function sizes(int $students): array
    {
        $sum = (int) array_sum($this->sizes);
        if ($sum !== $students) {
            throw ImpossibleShape::sumIsWrong($sum, $students);
        }
        $sizes = $this->sizes;
        rsort($sizes);

        return $sizes;
    }
}
