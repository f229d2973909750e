<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Shape;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Shape;

/**
 * These sizes and no others. A size of one joins the smallest other group where there are four students or more.
 */
final readonly class Sizes implements Shape
{
    /**
     * @param non-empty-list<int> $sizes
     *
     * @throws ImpossibleShape if a size is below one
     */
    public function __construct(public array $sizes)
    {
        if (min($sizes) < 1) {
            throw ImpossibleShape::emptyGroups();
        }
    }

    public function sizes(int $students): array
    {
        if (array_sum($this->sizes) !== $students) {
            throw ImpossibleShape::sumIsWrong((int) array_sum($this->sizes), $students);
        }
        $sizes = $this->sizes;
        rsort($sizes);
        while ($students >= 4 && 1 === end($sizes)) {
            array_pop($sizes);
            ++$sizes[\count($sizes) - 1];
            rsort($sizes);
        }

        return $sizes;
    }
}
