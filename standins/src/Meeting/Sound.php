<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

/**
 * What a room sounds like, now or recorded: a tone that each room has for itself (WAVE, 8,000 samples a second, one
 * channel).
 */
final class Sound
{
    private const RATE = 8_000;
    private const LONGEST = 2.0;

    /** Hertz, from 220 to 880. */
    public static function tone(string $room): int
    {
        return 220 + ((int) hexdec(substr(hash('sha256', $room), 0, 6)) % 661);
    }

    /**
     * @param float $seconds at most two are given
     */
    public static function wave(string $room, float $seconds): string
    {
        $samples = '';
        $step = (2 * \M_PI * self::tone($room)) / self::RATE;
        for ($i = 0, $n = (int) (self::RATE * max(0.1, min(self::LONGEST, $seconds))); $i < $n; ++$i) {
            $samples .= \chr(128 + (int) (40 * sin($step * $i)));
        }

        return self::file($samples);
    }

    public static function silence(float $seconds): string
    {
        return self::file(str_repeat(\chr(128), (int) (self::RATE * max(0.1, min(self::LONGEST, $seconds)))));
    }

    private static function file(string $samples): string
    {
        $size = \strlen($samples);

        return pack(
            'A4VA4A4VvvVVvvA4V',
            'RIFF',
            36 + $size,
            'WAVE',
            'fmt ',
            16,
            1,
            1,
            self::RATE,
            self::RATE,
            1,
            8,
            'data',
            $size,
        ).$samples;
    }
}
