<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Shape;

use FreshHuddle\Core\Grouping\Shape\Exactly;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * Who has taken no seat gets one of those that are left.
 */
final class FillingUpTest extends TestCase
{
    public function test_empty_tables_are_filled_first_and_nobody_is_moved(): void
    {
        self::assertSame([2, 2], Exactly::fillingUp([2, 0], 4, 2)->sizes(4));
        self::assertSame([4, 4, 3], Exactly::fillingUp([4, 1, 2], 11, 5)->sizes(11));
        self::assertSame([5, 1], Exactly::fillingUp([5, 0], 6, 4)->sizes(6), 'what is taken stays taken');
    }

    public function test_only_when_every_seat_is_taken_are_there_more_than_seats(): void
    {
        self::assertSame([3, 3], Exactly::fillingUp([2, 1], 6, 2)->sizes(6));
    }

    public function test_everybody_is_seated_and_no_table_is_overfull_while_another_has_room(): void
    {
        for ($seed = 0; $seed < 500; ++$seed) {
            $random = new RandomProblem(90_000 + $seed);
            $seats = $random->number(1, 6);
            $seated = [];
            for ($g = $random->number(1, 7); $g > 0; --$g) {
                $seated[] = $random->number(0, $seats);
            }
            $students = array_sum($seated) + $random->number(0, 12);
            $sizes = Exactly::fillingUp($seated, $students, $seats)->sizes($students);
            self::assertSame($students, array_sum($sizes));
            self::assertNotEmpty($sizes);
            self::assertTrue(max($sizes) <= $seats || min($sizes) >= $seats, "seed {$seed}");
            rsort($seated);
            foreach ($sizes as $rank => $size) {
                self::assertGreaterThanOrEqual($seated[$rank], $size, "seed {$seed}: somebody lost a seat");
            }
        }
    }
}
