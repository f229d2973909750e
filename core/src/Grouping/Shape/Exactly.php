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

    /**
     * Everybody without a seat gets one at a table that has the fewest, as long as it has one left; when all are full,
     * at one that has the fewest all the same.
     *
     * @param list<int> $seated   a number a table
     * @param int       $students to be seated in all, those who are seated included
     * @param int       $seats    at each table, 1 or more
     *
     * @throws ImpossibleShape if there is no table
     *
     * Complexity: O(n·g) for n students without a seat and g tables
     */
    public static function fillingUp(array $seated, int $students, int $seats): self
    {
        if ([] === $seated) {
            throw ImpossibleShape::noGroup();
        }
        for ($rest = $students - array_sum($seated); $rest > 0; --$rest) {
            $open = array_filter($seated, static fn (int $count): bool => $count < $seats);
            $among = [] === $open ? $seated : $open;
            ++$seated[array_search(min($among), $among, true)];
        }

        return new self(array_values($seated));
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
