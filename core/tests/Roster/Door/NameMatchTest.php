<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Door;

use FreshHuddle\Core\Roster\Door\NameMatch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Which student a typed name means.
 */
final class NameMatchTest extends TestCase
{
    private const CLASS_LIST = [
        'ada' => ['Ada Okafor'],
        'ada2' => ['Ada Lindqvist'],
        'jose' => ['José Núñez'],
        'weiss' => ['Lena Weiß'],
        'lee' => ['Lee'],
        'leeann' => ['Lee Ann Park'],
        'zofia' => ['Zofia Wójcik'],
        'bj' => ['Bjørn Dahl', 'Bear'],
        'ming' => ['王小明'],
        'omar' => ['عمر حداد'],
        'oneil' => ['Sean O’Neill'],
        'ann' => ['Anna-Lena Vogt'],
        'ai' => ['Ai Tanaka'],
        'al' => ['Al Ito'],
    ];

    /**
     * @return iterable<string, array{string, list<string>}>
     */
    public static function typed(): iterable
    {
        yield 'as on the list' => ['Ada Okafor', ['ada']];
        yield 'small letters and spaces' => ['  ada   okafor ', ['ada']];
        yield 'without accents' => ['jose nunez', ['jose']];
        yield 'letters keyboards lack' => ['lena weiss', ['weiss']];
        yield 'stroked letters' => ['bjorn dahl', ['bj']];
        yield 'family name first' => ['Okafor, Ada', ['ada']];
        yield 'no apostrophe' => ['sean oneill', ['oneil']];
        yield 'no hyphen' => ['anna lena vogt', ['ann']];
        yield 'given name alone, and nobody else has it' => ['zofia', ['zofia']];
        yield 'given name alone, and two have it' => ['Ada', ['ada', 'ada2']];
        yield 'given name and first letter of the other' => ['Ada L', ['ada2']];
        yield 'a whole name that is part of another' => ['Lee', ['lee']];
        yield 'a name of before' => ['bear', ['bj']];
        yield 'a slip' => ['Zofai Wojcik', ['zofia']];
        yield 'two slips in a long name' => ['Ada Linqvitt', ['ada2']];
        yield 'Chinese' => ['王小明', ['ming']];
        yield 'Arabic' => ['عمر حداد', ['omar']];
        yield 'a short name is not guessed at' => ['Ab', []];
        yield 'nobody' => ['Nobody Here', []];
        yield 'first letters alone name nobody' => ['A O', []];
        yield 'nothing' => ['  ', []];
        yield 'signs alone' => ['-,.', []];
    }

    /**
     * @param list<string> $expected
     */
    #[DataProvider('typed')]
    public function test_who_is_meant(string $typed, array $expected): void
    {
        self::assertSame($expected, NameMatch::find($typed, self::CLASS_LIST));
    }

    public function test_everybody_is_found_by_the_own_name_and_by_one_slip_in_it_nobody_else_is(): void
    {
        $dice = new Randomizer(new Xoshiro256StarStar(7));
        for ($round = 0; $round < 60; ++$round) {
            $names = [];
            foreach (range(1, 30) as $i) {
                $names["s{$i}"] = [ucfirst(self::word($dice)).' '.ucfirst(self::word($dice))];
            }
            foreach ($names as $id => [$name]) {
                self::assertSame([$id], NameMatch::find($name, $names));
                self::assertSame(
                    [$id],
                    NameMatch::find(mb_strtoupper(implode(' ', array_reverse(explode(' ', $name)))), $names),
                );
                $at = $dice->getInt(1, \strlen($name) - 2);
                $slipped = substr($name, 0, $at).substr($name, $at + 1);
                self::assertContains($id, NameMatch::find($slipped, $names), "{$slipped} for {$name}");
            }
        }
    }

    public function test_a_whole_hall_of_long_names_is_looked_through_soon(): void
    {
        $names = [];
        foreach (range(1, 1_200) as $i) {
            $names["s{$i}"] = [str_repeat('ab ', 38).$i];
        }
        self::assertSame(['s77'], NameMatch::find(str_repeat('ab ', 38).'77', $names));
    }

    private static function word(Randomizer $dice): string
    {
        return substr($dice->shuffleBytes('abcdefghijklmnopqrstuvwxyz'), 0, $dice->getInt(6, 9));
    }
}
