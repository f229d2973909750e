<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials\Merge;

use FreshHuddle\Core\Materials\Merge\Difference;
use FreshHuddle\Core\Materials\Merge\ThreeWay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Two people who write in one text.
 */
final class ThreeWayTest extends TestCase
{
    #[DataProvider('merges')]
    public function test_two_people_in_one_text(string $base, string $theirs, string $mine, string $expected): void
    {
        self::assertSame($expected, (new ThreeWay())->merge($base, $theirs, $mine));
    }

    /**
     * @return iterable<string, array{string, string, string, string}>
     */
    public static function merges(): iterable
    {
        yield 'only I wrote' => ['a', 'a', 'a b', 'a b'];
        yield 'only they wrote' => ['a', 'a b', 'a', 'a b'];
        yield 'in different places' => [
            'the wall goes here',
            'the tall wall goes here',
            'the wall goes there',
            'the tall wall goes there',
        ];
        yield 'both began on an empty page' => ['', 'It floods.', 'Houses first.', 'It floods. Houses first.'];
        yield 'both at the end' => ['One.', 'One. Two.', 'One. Three.', 'One. Two. Three.'];
        yield 'one deletes, one adds elsewhere' => ['a b c', 'a c', 'a b c d', 'a c d'];
        yield 'both made the same change' => ['colour', 'color', 'color', 'color'];
        yield 'one goes on where the other is' => ['', 'The wall', 'The wall goes', 'The wall goes'];
        yield 'one has typed white space, the other a word' => ['', ' ', ' Dov', '  Dov'];
        yield 'and the other way round' => ['', ' Dov', ' ', ' Dov '];
        yield 'behind a word' => ['Dov', 'Dov Esi', 'Dov ', 'Dov Esi '];
        yield 'one takes out what the other wrote behind' => ['a b', 'a', 'a b c', 'a c'];
        yield 'one takes everything out while the other goes on' => ['Dov', '', 'Dovsays', 'Dovsays'];
        yield 'a short word inside a long one is not taken for it' => ['', 'an', 'banana', 'an banana'];
        yield 'one puts something in before the word another goes on writing' => [
            'Dovsay',
            'Faysays Dovsay',
            'Dovsays',
            'Faysays Dovsays',
        ];
        yield 'and by the other' => ['Dovsay', 'Dovsays', 'Faysays Dovsay', 'Faysays Dovsays'];
        yield 'and behind it' => ['Dovsay', 'Dovsay Faysays', 'Dovsays', 'Dovsays Faysays'];
        yield 'one word, gone on with in two ways' => ['wall', 'walls', 'walled', 'walls walled'];
        yield 'one word, written in at two places' => ['BenChi', 'BenChis', 'BensChi', 'BensChis'];
        yield 'and gone on with behind it' => ['a BenChi b', 'a BenChisays b', 'a Bens Chi b', 'a Bens Chisays b'];
        yield 'what comes behind white space that another has widened' => [' ', '  Fay', ' Esi', '  Fay Esi'];
        yield 'what comes before a word that another has put in' => ['a  b', 'a x b', 'ay  b', 'ay x b'];
        yield 'lines' => ["one\ntwo\n", "zero\none\ntwo\n", "one\ntwo\nthree\n", "zero\none\ntwo\nthree\n"];
        yield 'other scripts' => ['стена', 'стена здесь', 'новая стена', 'новая стена здесь'];
        yield 'right to left' => ['الماء', 'الماء هنا', 'الماء', 'الماء هنا'];
    }

    public function test_no_word_that_somebody_added_is_ever_lost(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(5));
        $merge = new ThreeWay();
        for ($i = 0; $i < 4_000; ++$i) {
            $base = self::words($random, $random->getInt(0, 8), 'b');
            $theirs = self::withAdditions($random, $base, "t{$i}x");
            $mine = self::withAdditions($random, $base, "m{$i}x");
            $merged = explode(' ', $merge->merge(implode(' ', $base), implode(' ', $theirs), implode(' ', $mine)));
            foreach ([...$theirs, ...$mine] as $word) {
                self::assertContains($word, $merged);
            }
            self::assertSame(
                array_values(array_intersect($merged, $theirs)),
                $theirs,
                'what they wrote keeps its order',
            );
            self::assertSame(array_values(array_intersect($merged, $mine)), $mine, 'and so does what I wrote');
        }
    }

    public function test_what_one_side_took_out_and_the_other_left_alone_is_gone(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(6));
        for ($i = 0; $i < 500; ++$i) {
            $base = self::words($random, 8, 'b');
            $gone = $base[$random->getInt(0, 7)];
            $theirs = array_values(array_diff($base, [$gone]));
            self::assertSame(
                implode(' ', $theirs),
                (new ThreeWay())->merge(implode(' ', $base), implode(' ', $theirs), implode(' ', $base)),
            );
        }
    }

    public function test_the_changes_of_a_difference_make_the_new_from_the_old(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        for ($i = 0; $i < 5_000; ++$i) {
            $letters = static fn (): array => array_map(
                static fn (): string => 'abc'[$random->getInt(0, 2)],
                array_fill(0, $random->getInt(0, 9), 0),
            );
            $old = $letters();
            $new = $letters();
            $made = [];
            $at = 0;
            foreach ((new Difference())->changes($old, $new) as $change) {
                array_push($made, ...\array_slice($old, $at, $change->from - $at), ...$change->words);
                $at = $change->to;
            }
            self::assertSame($new, [...$made, ...\array_slice($old, $at)]);
        }
    }

    public function test_texts_that_have_nothing_in_common_are_one_change(): void
    {
        $old = array_map(static fn (int $i): string => "a{$i}", range(1, 3_000));
        $new = array_map(static fn (int $i): string => "b{$i}", range(1, 3_000));
        self::assertCount(1, (new Difference())->changes($old, $new));
    }

    /**
     * @return list<string> all different
     */
    private static function words(Randomizer $random, int $n, string $prefix): array
    {
        return 0 === $n
            ? []
            : $random->shuffleArray(array_map(static fn (int $i): string => $prefix.$i, range(1, $n)));
    }

    /**
     * @param list<string> $base
     *
     * @return list<string>
     */
    private static function withAdditions(Randomizer $random, array $base, string $prefix): array
    {
        for ($i = $random->getInt(0, 3); $i > 0; --$i) {
            array_splice($base, $random->getInt(0, \count($base)), 0, [$prefix.$i]);
        }

        return $base;
    }
}
