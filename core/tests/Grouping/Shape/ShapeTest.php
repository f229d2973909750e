<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Shape;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Remainder;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Shape\Sizes;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The sizes of groups.
 */
final class ShapeTest extends TestCase
{
    /**
     * @param list<int> $expected
     */
    #[DataProvider('shapes')]
    public function test_sizes(Shape $shape, int $students, array $expected): void
    {
        self::assertSame($expected, $shape->sizes($students));
    }

    /**
     * @return iterable<string, array{Shape, int, list<int>}>
     */
    public static function shapes(): iterable
    {
        yield '17 in threes is six groups' => [new Size(3), 17, [3, 3, 3, 3, 3, 2]];
        yield '17 in threes, rather larger' => [new Size(3, Remainder::Larger), 17, [4, 4, 3, 3, 3]];
        yield '17 in threes, rather smaller' => [new Size(3, Remainder::Smaller), 17, [3, 3, 3, 3, 3, 2]];
        yield '10 in fours: a half goes to more groups' => [new Size(4), 10, [4, 3, 3]];
        yield '16 in threes, nearest' => [new Size(3), 16, [4, 3, 3, 3, 3]];
        yield '28 in 6 groups' => [new Groups(6), 28, [5, 5, 5, 5, 4, 4]];
        yield 'nobody' => [new Groups(3), 0, []];
        yield 'nobody in fours' => [new Size(4), 0, []];
        yield 'one alone' => [new Groups(3), 1, [1]];
        yield 'two by number' => [new Groups(2), 2, [1, 1]];
        yield 'three in threes' => [new Size(3), 3, [3]];
        yield 'more groups than pairs' => [new Groups(9), 9, [3, 2, 2, 2]];
        yield 'each alone is not wanted' => [new Size(1), 6, [2, 2, 2]];
        yield '5 in twos, rather smaller' => [new Size(2, Remainder::Smaller), 5, [3, 2]];
        yield 'fewer than a group' => [new Size(5, Remainder::Larger), 3, [3]];
        yield 'given sizes' => [new Sizes([4, 5, 4]), 13, [5, 4, 4]];
        yield 'a given size of one joins the smallest' => [new Sizes([4, 3, 1]), 8, [4, 4]];
        yield 'three alone may be' => [new Sizes([1, 1, 1]), 3, [1, 1, 1]];
    }

    public function test_for_every_class_and_every_shape_everybody_has_a_seat_and_nobody_sits_alone(): void
    {
        for ($students = 0; $students <= 60; ++$students) {
            for ($n = 1; $n <= 20; ++$n) {
                $even = [
                    new Groups($n),
                    new Size($n),
                    new Size($n, Remainder::Larger),
                    new Size($n, Remainder::Smaller),
                ];
                foreach ($even as $shape) {
                    $sizes = $shape->sizes($students);
                    self::assertSame($students, array_sum($sizes));
                    if ([] !== $sizes) {
                        self::assertLessThanOrEqual(1, max($sizes) - min($sizes));
                        self::assertSame($sizes, self::sorted($sizes));
                    }
                    if ($students >= 4) {
                        self::assertNotContains(1, $sizes);
                    }
                }
                if ($n > 1) {
                    $smaller = (new Size($n, Remainder::Smaller))->sizes($students);
                    self::assertTrue(
                        [] === $smaller || max($smaller) <= max($n, 3),
                        'no group above the size, but where one would be alone',
                    );
                    $larger = (new Size($n, Remainder::Larger))->sizes($students);
                    self::assertTrue(
                        $students < $n || [] === array_filter($larger, static fn (int $size): bool => $size < $n),
                        'no group below the size',
                    );
                }
            }
        }
    }

    public function test_spread_takes_the_number_of_groups_nearest_to_what_was_asked(): void
    {
        for ($students = 4; $students <= 60; ++$students) {
            for ($size = 2; $size <= 10; ++$size) {
                $groups = \count((new Size($size))->sizes($students));
                $exact = $students / $size;
                if ($exact >= 1 && $groups < intdiv($students, 2)) {
                    self::assertSame((int) floor($exact + 0.5), $groups, "{$students} in {$size}s");
                }
            }
        }
    }

    public function test_sizes_that_do_not_fit_are_refused(): void
    {
        $this->expectExceptionObject(ImpossibleShape::sumIsWrong(9, 10));
        (new Sizes([4, 5]))->sizes(10);
    }

    /**
     * @param callable(): Shape $make
     */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(callable $make): void
    {
        $this->expectException(ImpossibleShape::class);
        $make();
    }

    /**
     * @return iterable<string, array{callable(): Shape}>
     */
    public static function nonsense(): iterable
    {
        yield 'no group' => [static fn (): Shape => new Groups(0)];
        yield 'groups of none' => [static fn (): Shape => new Size(0)];
        yield 'a negative size' => [static fn (): Shape => new Sizes([3, -1])];
    }

    /**
     * @param list<int> $sizes
     *
     * @return list<int>
     */
    private static function sorted(array $sizes): array
    {
        rsort($sizes);

        return $sizes;
    }
}
