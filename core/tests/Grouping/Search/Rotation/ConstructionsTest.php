<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Search\Rotation;

use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Search\Rotation\Constructions;
use FreshHuddle\Core\Grouping\Search\Rotation\Field;
use FreshHuddle\Core\Grouping\Shape\Groups;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Constructions for rounds in which nobody meets twice.
 */
final class ConstructionsTest extends TestCase
{
    #[DataProvider('fields')]
    public function test_a_field_is_a_field(int $q): void
    {
        $field = Field::withOrder($q);
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
            self::assertCount(
                0 === $a ? 1 : $q,
                array_unique($products),
                'multiplying by anything but nothing moves everybody',
            );
        }
        for ($i = 0; $i < 200; ++$i) {
            [$a, $b, $c] = [$i % $q, ($i * 7 + 3) % $q, ($i * 5 + 1) % $q];
            self::assertSame(
                $field->times($a, $field->plus($b, $c)),
                $field->plus($field->times($a, $b), $field->times($a, $c)),
            );
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
            self::assertNull(Field::withOrder($q));
        }
    }

    public function test_wherever_a_construction_says_it_fits_everybody_sits_once_a_round_and_no_two_meet_twice(): void
    {
        $found = 0;
        for ($n = 4; $n <= 50; ++$n) {
            for ($groups = 2; $groups <= 18; ++$groups) {
                $sizes = (new Groups($groups))->sizes($n);
                for ($rounds = 2; $rounds <= 24; ++$rounds) {
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

    /**
     * @param list<int> $sizes
     */
    #[DataProvider('known')]
    public function test_what_the_literature_has_is_found_and_so_is_every_round_below(array $sizes, int $rounds): void
    {
        for ($some = 2; $some <= $rounds; ++$some) {
            $design = (new Constructions())->rounds($sizes, $some);
            self::assertNotNull($design, "{$some} rounds");
            self::assertCount($some, $design);
            self::assertSame(0, NewPartners::repeats($design));
        }
    }

    /**
     * @return iterable<string, array{list<int>, int}>
     */
    public static function known(): iterable
    {
        $threes = static fn (int $groups): array => array_fill(0, $groups, 3);
        $fours = static fn (int $groups): array => array_fill(0, $groups, 4);
        yield '9 in threes' => [$threes(3), 4];
        yield '15 in threes' => [$threes(5), 7];
        yield '18 in threes' => [$threes(6), 8];
        yield '21 in threes' => [$threes(7), 10];
        yield '24 in threes' => [$threes(8), 11];
        yield '27 in threes' => [$threes(9), 13];
        yield '30 in threes' => [$threes(10), 14];
        yield '33 in threes' => [$threes(11), 16];
        yield '36 in threes' => [$threes(12), 17];
        yield '39 in threes' => [$threes(13), 19];
        yield '81 in threes' => [$threes(27), 40];
        yield '16 in fours' => [$fours(4), 5];
        yield '20 in fours' => [$fours(5), 5];
        yield '24 in fours' => [$fours(6), 7];
        yield '28 in fours' => [$fours(7), 9];
        yield '32 in fours' => [$fours(8), 8];
        yield '36 in fours' => [$fours(9), 11];
        yield '64 in fours' => [$fours(16), 21];
        yield '25 in fives' => [array_fill(0, 5, 5), 6];
        yield '35 in fives' => [array_fill(0, 7, 5), 7];
        yield '17 in threes' => [[3, 3, 3, 3, 3, 2], 8];
        yield '20 in threes' => [[3, 3, 3, 3, 3, 3, 2], 10];
        yield '22 in fours' => [[4, 4, 4, 4, 3, 3], 7];
        yield '23 in threes' => [[3, 3, 3, 3, 3, 3, 3, 2], 11];
        yield '26 in threes' => [[3, 3, 3, 3, 3, 3, 3, 3, 2], 13];
        yield '26 in fours' => [[4, 4, 4, 4, 4, 3, 3], 8];
        yield '29 in threes' => [[3, 3, 3, 3, 3, 3, 3, 3, 3, 2], 14];
        yield '29 in fours' => [[5, 4, 4, 4, 4, 4, 4], 7];
        yield '31 in fours' => [[4, 4, 4, 4, 4, 4, 4, 3], 8];
    }
}
