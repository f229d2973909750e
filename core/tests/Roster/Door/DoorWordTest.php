<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Door;

use FreshHuddle\Core\Roster\Door\DoorWord;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Join words are read however they are typed.
 */
final class DoorWordTest extends TestCase
{
    public function test_every_pair_is_read_back_whatever_stands_between_the_words(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(5));
        for ($i = 0; $i < 5_000; ++$i) {
            $word = DoorWord::draw($random);
            foreach (['%s %s', '%s%s', '%s-%s', '  %s   %s ', '%s, %s!'] as $way) {
                $typed = \sprintf($way, $word->kind, $word->thing);
                self::assertEquals($word, DoorWord::read($typed), $typed);
                self::assertEquals($word, DoorWord::read(mb_strtoupper($typed)), $typed);
            }
        }
        self::assertSame('amber otter', DoorWord::read('Ámber Ötter')?->text());
    }

    public function test_no_two_pairs_look_alike_when_written_in_one(): void
    {
        [$kinds, $things] = DoorWord::words();
        $seen = [];
        foreach ($kinds as $kind => $_) {
            foreach ($things as $thing => $_) {
                $seen[$kind.$thing] = true;
            }
        }
        self::assertCount(\count($kinds) * \count($things), $seen);
        self::assertGreaterThan(200_000, \count($seen), 'pairs enough that a class is not found by trying');
    }

    public function test_words_are_short_and_plain(): void
    {
        foreach (DoorWord::words() as $words) {
            foreach ($words as $word => $_) {
                self::assertMatchesRegularExpression('/^[a-z]{2,9}$/D', (string) $word);
            }
        }
    }

    public function test_what_is_none_of_ours_is_none(): void
    {
        foreach (
            [
                '',
                ' ',
                'amber',
                'amber otters',
                'otter amber',
                str_repeat('a', 100_000),
                "amber\0otter1",
                '🦦 otter',
                'ab',
                "\xff\xfe",
            ] as $typed
        ) {
            if ("amber\0otter1" === $typed) {
                self::assertSame('amber otter', DoorWord::read($typed)?->text(), 'what is no letter is passed over');
                continue;
            }
            self::assertNull(DoorWord::read($typed), $typed);
        }
    }
}
