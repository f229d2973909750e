<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

/**
 * JSON of strangers, decoded only when that costs no more than its size: keys that collide in PHP's tables make an
 * object of n keys cost n² steps, so how many an object may have is counted before there is one.
 */
final readonly class Json
{
    /** No object we take has more fields. */
    public const MOST_FIELDS = 64;
    /** Braces and colons of the longest original. */
    private const MOST_MARKS = 200_000;

    /**
     * @param int<1, max> $depth
     * @param int<1, max> $most  braces and colons
     *
     * @throws \JsonException if it is not JSON, or nested deeper
     * @throws TooManyFields  if one object has more than MOST_FIELDS fields
     */
    public static function decode(string $text, int $depth, int $most = self::MOST_MARKS): mixed
    {
        if (self::fields($text, $most) > self::MOST_FIELDS) {
            throw new TooManyFields();
        }

        return json_decode($text, true, $depth, \JSON_THROW_ON_ERROR | \JSON_BIGINT_AS_STRING);
    }

    /**
     * The most fields any one object has; a field said twice counts twice. Linear in the text, whether it is JSON or
     * not.
     *
     * @return int<0, max>
     */
    private static function fields(string $text, int $mostMarks): int
    {
        $marks = preg_replace(['~"(?:[^"\\\\]++|\\\\.)*+"~s', '~[^{}:]++~'], '', $text);
        if (null === $marks || \strlen($marks) > $mostMarks) {
            return self::MOST_FIELDS + 1; // nothing a program would write
        }
        $most = 0;
        $open = [];
        for ($at = 0; $at < \strlen($marks); $at += max(1, $colons)) {
            $colons = strspn($marks, ':', $at);
            if ($colons > 0) {
                $most = max($most, $open[] = (array_pop($open) ?? 0) + $colons);
            } elseif ('{' === $marks[$at]) {
                $open[] = 0;
            } else {
                array_pop($open);
            }
            if ($most > self::MOST_FIELDS || \count($open) > 1_000) {
                return self::MOST_FIELDS + 1;
            }
        }

        return $most;
    }
}
