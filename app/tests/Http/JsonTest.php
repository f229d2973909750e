<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\Body\Json;
use FreshHuddle\App\Http\Body\TooManyFields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * JSON of strangers costs no more than its size.
 */
final class JsonTest extends TestCase
{
    #[DataProvider('costly')]
    public function test_what_would_collide_is_refused_before_it_is_an_array(string $json): void
    {
        set_time_limit(2);
        try {
            Json::decode($json, 12);
            self::fail('It was decoded.');
        } catch (TooManyFields) {
            $this->addToAssertionCount(1);
        } finally {
            set_time_limit(0);
        }
    }

    /**
     * @return iterable<string, array{string}>
     */
    public static function costly(): iterable
    {
        $numbers = static fn (int $n): string => implode(
            ',',
            array_map(static fn (int $i): string => '"'.$i * 65_536 .'":1', range(0, $n)),
        );
        yield 'numbers that collide' => ['{'.$numbers(65_536).'}'];
        yield 'a few more than we take' => ['{'.$numbers(Json::MOST_FIELDS).'}'];
        yield 'deep inside' => ['{"a":[{"b":{'.$numbers(65_536).'}}]}'];
        yield 'behind quotes in quotes' => ['{"a":"\\\\\"}","b":{'.$numbers(200).'}}'];
        yield 'with space before the colons' => ['{'.str_replace('":', "\" \n\t:", $numbers(200)).'}'];
        $strings = [''];
        while (\count($strings) < 16_384) {
            // "Ez" and "FY" have one hash (DJB, times 33)
            $strings = array_merge(
                array_map(static fn (string $s): string => $s.'Ez', $strings),
                array_map(static fn (string $s): string => $s.'FY', $strings),
            );
        }
        yield 'texts that collide' => [
            '{'.implode(',', array_map(static fn (string $s): string => "\"{$s}\":1", $strings)).'}',
        ];
        yield 'braces without end' => [str_repeat('{', 1_000_000)];
        yield 'objects without end' => ['['.str_repeat('{},', 2_000_000).'{}]'];
        yield 'colons without end' => [str_repeat(':', 1_000_000)];
    }

    public function test_colons_and_braces_in_texts_are_texts(): void
    {
        $text = str_repeat('{"a":1} and \\ "b": ', 2_000);
        self::assertSame(['text' => $text], Json::decode(json_encode(['text' => $text], \JSON_THROW_ON_ERROR), 12));
        self::assertSame([['a' => 1], ['a' => 2]], Json::decode('[{"a":1},{"a":2}]', 12));
        $many = array_fill(0, 5_000, ['a' => 1, 'b' => ['c' => 2]]);
        self::assertSame($many, Json::decode(json_encode($many, \JSON_THROW_ON_ERROR), 12));
    }

    public function test_what_is_no_json_is_no_json(): void
    {
        foreach (['', '{', '"', '{"a":1}}', str_repeat('[', 100).str_repeat(']', 100)] as $text) {
            try {
                Json::decode($text, 12);
                self::fail($text);
            } catch (\JsonException) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
