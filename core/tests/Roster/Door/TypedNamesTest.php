<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Door;

use FreshHuddle\Core\Roster\Door\NameMatch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Names as people type them, against four lists: nobody is ever taken for somebody else, and as few as possible are
 * asked back.
 */
final class TypedNamesTest extends TestCase
{
    /**
     * @return iterable<string, array{string}>
     */
    public static function lists(): iterable
    {
        foreach ((array) glob(__DIR__.'/typed/*.txt') as $file) {
            yield basename((string) $file) => [(string) $file];
        }
    }

    #[DataProvider('lists')]
    public function test_nobody_is_taken_for_somebody_else_and_who_is_clear_is_not_asked_back(string $file): void
    {
        [$names, $typed] = self::read($file);
        $wrong = [];
        foreach ($typed as [$text, $meant]) {
            $found = NameMatch::find($text, $names);
            $is = match (\count($found)) {
                0 => '-',
                1 => $names[$found[0]][0],
                default => '?',
            };
            if ($is !== $meant) {
                $wrong[] = "{$text}: {$is} instead of {$meant}";
            }
        }
        self::assertSame([], $wrong);
    }

    public function test_there_are_three_hundred_of_them_and_few_are_asked_back(): void
    {
        $count = $asked = 0;
        foreach (self::lists() as [$file]) {
            foreach (self::read($file)[1] as [, $meant]) {
                ++$count;
                $asked += '?' === $meant ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual(300, $count);
        self::assertLessThan(0.15, $asked / $count);
    }

    /**
     * @return array{array<string, list<string>>, list<array{string, string}>} the list with other names, by id; and
     *     what was typed, with who was meant
     */
    private static function read(string $file): array
    {
        $names = $typed = [];
        $part = '';
        foreach (explode("\n", (string) file_get_contents($file)) as $line) {
            if ('' === $line || str_starts_with($line, '#')) {
                continue;
            }
            if ('list' === $line || 'typed' === $line) {
                $part = $line;
                continue;
            }
            $both = explode(' = ', $line, 2);
            if ('list' === $part) {
                $names['s'.\count($names)] = $both;
            } else {
                $typed[] = [$both[0], $both[1] ?? ''];
            }
        }

        return [$names, $typed];
    }
}
