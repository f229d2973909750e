<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\SignUp;

use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\SignUp\FirstCome;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Seats students took themselves, and the rules of the class.
 */
final class FirstComeTest extends TestCase
{
    public function test_without_rules_everybody_keeps_the_seat(): void
    {
        self::assertSame(['a', 'b', 'c'], FirstCome::keep([['a', 'b'], [], ['c']], []));
    }

    public function test_of_two_who_must_be_apart_whoever_sat_down_first_stays(): void
    {
        self::assertSame(['b', 'c'], FirstCome::keep([['b', 'a', 'c']], [new Apart(['a', 'b'])]));
        self::assertSame(['a', 'b'], FirstCome::keep([['a'], ['b']], [new Apart(['a', 'b'])]));
    }

    public function test_of_those_who_must_be_together_the_larger_part_stays(): void
    {
        self::assertSame(
            ['b', 'c', 'd'],
            FirstCome::keep([['a'], ['b', 'c'], ['d']], [new Together(['a', 'b', 'c'])]),
        );
    }

    public function test_among_those_who_stay_no_rule_is_broken_and_nobody_else_has_to_go(): void
    {
        $dice = new Randomizer(new Xoshiro256StarStar(3));
        for ($i = 0; $i < 400; ++$i) {
            $ids = array_map(static fn (int $n): string => "s{$n}", range(1, 16));
            $tables = array_fill(0, 4, []);
            foreach ($dice->shuffleArray($ids) as $id) {
                $tables[$dice->getInt(0, 3)][] = $id;
            }
            $rules = [];
            foreach (range(1, 4) as $r) {
                $some = array_map(
                    static fn (int|string $k): string => $ids[$k],
                    $dice->pickArrayKeys($ids, $dice->getInt(2, 4)),
                );
                $rules[] = 0 === $r % 2 ? new Apart($some) : new Together($some);
            }
            $kept = FirstCome::keep($tables, $rules);
            $at = [];
            foreach ($tables as $t => $table) {
                $at += array_fill_keys($table, $t);
            }
            $named = [];
            foreach ($rules as $rule) {
                $there = array_map(static fn (string $id): int => $at[$id], array_intersect($rule->students(), $kept));
                self::assertLessThanOrEqual(
                    $rule instanceof Apart ? \count(array_unique($there)) : 1,
                    $rule instanceof Apart ? \count($there) : \count(array_unique($there)),
                );
                array_push($named, ...$rule->students());
            }
            self::assertSame([], array_diff($ids, $kept, $named), 'only those a rule names may have to go');
        }
    }
}
