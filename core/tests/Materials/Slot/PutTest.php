<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials\Slot;

use FreshHuddle\Core\Materials\Slot\Number;
use FreshHuddle\Core\Materials\Slot\Sort;
use FreshHuddle\Core\Materials\Slot\Ticks;
use FreshHuddle\Core\Materials\Slot\Together;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * How much somebody has put in.
 */
final class PutTest extends TestCase
{
    public function test_of_a_text_it_is_the_words_that_were_not_there_before(): void
    {
        $text = new Together();
        self::assertSame(3, $text->put('', "The wall\n goes"));
        self::assertSame(2, $text->put('The wall goes', 'The old wall goes up'));
        self::assertSame(0, $text->put('The wall goes up', 'goes The wall'), 'moved or taken out is not put in');
        self::assertSame(1, $text->put('no', 'no no'), 'each as often as it stands there');
        self::assertSame(1, $text->put('1 2', '1 2 3'));
    }

    public function test_of_things_it_is_those_set_anew_or_changed(): void
    {
        self::assertSame(1, (new Ticks())->put('{"a":true}', '{"a":true,"b":true}'));
        self::assertSame(0, (new Ticks())->put('{"a":true}', ''));
        self::assertSame(
            2,
            (new Sort())->put(
                '{"a":{"place":1,"under":"x"},"b":{"place":2,"under":"x"}}',
                '{"a":{"place":1,"under":"y"},"b":{"place":2,"under":"x"},"c":{"place":3,"under":"x"}}',
            ),
        );
    }

    public function test_a_number_counts_once_a_change(): void
    {
        self::assertSame([1, 0, 1, 0], [
            (new Number())->put('', '3'),
            (new Number())->put('3', '3'),
            (new Number())->put('3', '4'),
            (new Number())->put('4', ''),
        ]);
    }

    public function test_what_is_written_on_and_on_adds_up_to_all_its_words(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(3));
        $text = new Together();
        for ($i = 0; $i < 200; ++$i) {
            $words = array_map(static fn (): string => 'w'.$chance->getInt(0, 9), range(1, $chance->getInt(1, 40)));
            [$before, $put] = ['', 0];
            for ($n = 1; $n <= \count($words); ++$n) {
                $after = implode(' ', \array_slice($words, 0, $n));
                $put += $text->put($before, $after);
                $before = $after;
            }
            self::assertCount($put, $words);
        }
    }

    public function test_it_is_the_same_as_counting_both_texts_from_end_to_end(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(4));
        $text = new Together();
        $parts = ['a', 'b', 'ab', 'né', '語', ' ', ' ', ' ', "\n", "\u{A0}"];
        $some = static function () use ($chance, $parts): string {
            $made = '';
            for ($n = $chance->getInt(0, 9); $n > 0; --$n) {
                $made .= $parts[$chance->getInt(0, 9)];
            }

            return $made;
        };
        for ($i = 0; $i < 20_000; ++$i) {
            $start = $some();
            [$before, $after] = [$start.$some(), $start.$some().(0 === $i % 3 ? $some() : '')];
            $put = 0;
            $was = array_count_values(self::words($before));
            foreach (array_count_values(self::words($after)) as $word => $often) {
                $put += max(0, $often - ($was[$word] ?? 0));
            }
            self::assertSame($put, $text->put($before, $after), json_encode([$before, $after], \JSON_THROW_ON_ERROR));
        }
    }

    /**
     * @return list<string>
     */
    private static function words(string $text): array
    {
        $words = preg_split('/\s+/u', $text, -1, \PREG_SPLIT_NO_EMPTY);

        return false === $words ? [] : $words;
    }
}
