<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Search\Rotation;

use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Search\Rotation\Constructions;
use FreshHuddle\Core\Grouping\Search\Rotation\Field;
use FreshHuddle\Core\Grouping\Shape\Groups;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ConstructionsTest extends TestCase
{
    #[DataProvider('fields')]
    public function test_a_field_is_a_field(int $q): void
    {
        $field = Field::of($q);
        self::assertNotNull($field);
        for ($a = 0; $a < $q; ++$a) {
            self::assertSame($a, $field->plus($a, 0));
            self::assertSame($a, $field->times($a, 1));
            self::assertSame(0, $field->times($a, 0));
            $sums = $products = [];
            for ($b = 0; $b < $q; ++$b) {
                $sums[] = $field->plus($a, $b);
                $products[] = $field->times($a, $b);
                self::assertSame($field->times($a, $b), $field->times($b, $a));
            }
            self::assertCount($q, array_unique($sums), 'adding moves everybody');
            self::assertCount(0 === $a ? 1 : $q, array_unique($products), 'multiplying by anything but nothing moves everybody');
        }
        for ($i = 0; $i < 200; ++$i) {
            [$a, $b, $c] = [$i % $q, ($i * 7 + 3) % $q, ($i * 5 + 1) % $q];
            self::assertSame($field->times($a, $field->plus($b, $c)), $field->plus($field->times($a, $b), $field->times($a, $c)));
            self::assertSame($field->times($a, $field->times($b, $c)), $field->times($field->times($a, $b), $c));
        }
    }

    /**
     * @return iterable<int, array{int}>
     */
    public static function fields(): iterable
    {
        foreach ([2, 3, 4, 5, 7, 8, 9, 11, 16, 25, 27, 32, 49] as $q) {
            yield $q => [$q];
        }
    }

    public function test_there_is_no_field_of_six_or_ten(): void
    {
        foreach ([0, 1, 6, 10, 12, 15, 100] as $q) {
            self::assertNull(Field::of($q));
        }
    }

    public function test_wherever_a_construction_says_it_fits_everybody_sits_once_a_round_and_no_two_meet_twice(): void
    {
        $found = 0;
        for ($n = 4; $n <= 50; ++$n) {
            for ($groups = 2; $groups <= 18; ++$groups) {
                $sizes = (new Groups($groups))->sizes($n);
                for ($rounds = 2; $rounds <= 12; ++$rounds) {
                    $design = (new Constructions())->rounds($sizes, $rounds);
                    if (null === $design) {
                        break;
                    }
                    ++$found;
                    self::assertCount($rounds, $design);
                    self::assertSame(0, NewPartners::repeats($design), "{$n} in {$groups} groups, {$rounds} rounds");
                    foreach ($design as $round) {
                        $here = array_map('count', $round);
                        rsort($here);
                        self::assertSame($sizes, $here);
                        self::assertEqualsCanonicalizing(range(0, $n - 1), array_merge(...$round));
                    }
                }
            }
        }
        self::assertGreaterThan(500, $found);
    }
}
