<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials\Merge;

use FreshHuddle\Core\Materials\Merge\Splice;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Carets while texts change around them.
 */
final class SpliceTest extends TestCase
{
    public function test_a_caret_stays_between_the_signs_it_stood_between(): void
    {
        $splice = Splice::between('The wall goes.', 'The high 🌊 wall goes.');
        self::assertSame([0, 4, 12, 21], array_map($splice->moved(...), [0, 4, 5, 14]));
        self::assertSame(4, Splice::between('The high wall', 'The wall')->moved(7), 'in what is gone');
        self::assertSame(7, Splice::between('same', 'same')->moved(7));
    }

    public function test_typing_one_letter_is_one_letter(): void
    {
        self::assertEquals(new Splice(5, 0, 'd'), Splice::between('The mu', 'The mdu'));
        self::assertEquals(new Splice(2, 0, '龍'), Splice::between('龍é', '龍é龍'));
        self::assertEquals(new Splice(0, 1, ''), Splice::between('a', ''));
        self::assertEquals(new Splice(1, 1, '😁'), Splice::between('a😀b', 'a😁b'));
        self::assertEquals(new Splice(3, 0, ''), Splice::between('abc', 'abc'));
    }

    public function test_put_on_the_old_text_it_gives_the_new_one_and_is_valid_text(): void
    {
        $dice = new Randomizer(new Xoshiro256StarStar(11));
        $signs = ['a', 'b', ' ', 'é', 'è', '龍', '龜', '😀', '😁', "\n"];
        $text = static fn (): string => implode(
            '',
            array_map(static fn (): string => $signs[$dice->getInt(0, 9)], array_fill(0, $dice->getInt(0, 12), 0)),
        );
        for ($i = 0; $i < 5_000; ++$i) {
            $old = $text();
            $new = 0 === $i % 2 ? $text() : mb_substr($old, 0, 3).$text().mb_substr($old, 5);
            $splice = Splice::between($old, $new);
            self::assertSame($new, $splice->apply($old), json_encode([$old, $new], \JSON_THROW_ON_ERROR));
            self::assertTrue(mb_check_encoding($splice->put, 'UTF-8'));
        }
    }
}
