<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

/**
 * What the media server keeps of one microphone: a head, and RTP packets (RFC 3550) of Opus as they came. Silence is
 * not sent, so there are gaps in time that have no packet; its own tool would leave them out, and what was said later
 * would be heard too early.
 */
final readonly class MediaFile
{
    private const MARK = 'MJR00002';
    /** Twenty milliseconds of nothing (RFC 6716): what fills a gap. */
    private const SILENCE = "\xF8\xFF\xFE";
    /** Of 48,000 a second, in a packet. */
    private const SAMPLES = 960;
    /** Nobody is silent for longer without a word: a clock that has jumped. Packets. */
    private const LONGEST_GAP = 3_600 * 50;

    /**
     * The same with a packet for each moment, in order. Time that grows with its packets, and space with the file.
     *
     * @param int $before so many packets of silence come first
     *
     * @return string|null null where it has no packets, or is no such file
     */
    public static function filled(string $file, int $before = 0): ?string
    {
        if (!str_starts_with($file, self::MARK) || \strlen($file) < 10) {
            return null;
        }
        $headEnds = 10 + self::number16($file, 8);
        $filled = substr($file, 0, $headEnds);
        $number = 0;
        $first = $next = null;
        foreach (self::packets($file, $headEnds) as $time => $at) {
            $packet = substr($file, $at + 10, self::number16($file, $at + 8));
            $fixed = "\x80".$packet[1].substr($packet, 8, 4);
            // Times are told from the beginning: they would begin anew in the middle otherwise.
            $first ??= $time - $before * self::SAMPLES;
            $time -= $first;
            $next ??= 0;
            $gap = min(intdiv($time - $next, self::SAMPLES), self::LONGEST_GAP);
            for ($i = 0; $i < $gap; ++$i) {
                $filled .= self::frame($fixed, $number++, $next + $i * self::SAMPLES, self::SILENCE);
            }
            $filled .= self::frame($fixed, $number++, $time, self::payload($packet));
            $next = $time + self::SAMPLES;
        }

        return 0 === $number ? null : $filled;
    }

    /**
     * @return array<int, int> by time in samples, in order: where each packet stands in the file
     */
    private static function packets(string $file, int $at): array
    {
        $packets = [];
        [$last, $turns] = [null, 0];
        $length = \strlen($file);
        for (; $at + 10 <= $length && 'ME' === substr($file, $at, 2); $at += 10 + self::number16($file, $at + 8)) {
            $packet = substr($file, $at + 10, self::number16($file, $at + 8));
            if (\strlen($packet) < self::number16($file, $at + 8) || '' === self::payload($packet)) {
                continue;
            }
            $time = self::number32($packet, 4);
            // Times begin anew after a day; a packet that was late is of before.
            $turns += null === $last ? 0 : ($time - $last < -0x80000000 ? 1 : ($time - $last > 0x80000000 ? -1 : 0));
            $last = $time;
            $packets[$time + $turns * 0x100000000] ??= $at;
        }
        ksort($packets);

        return $packets;
    }

    private static function payload(string $packet): string
    {
        if (\strlen($packet) < 13) {
            return '';
        }
        $first = \ord($packet[0]);
        $head = 12 + 4 * ($first & 0x0F);
        if (0 !== ($first & 0x10) && \strlen($packet) >= $head + 4) {
            $head += 4 + 4 * self::number16($packet, $head + 2);
        }

        return substr($packet, $head);
    }

    /**
     * @param string $fixed first byte, second byte and source of the packet's head
     */
    private static function frame(string $fixed, int $number, int $time, string $payload): string
    {
        $packet =
            substr($fixed, 0, 2).pack('nN', $number & 0xFFFF, $time & 0xFFFFFFFF).substr($fixed, 2).$payload;

        return 'MEET'.pack('N', $number * 20).pack('n', \strlen($packet)).$packet;
    }

    private static function number16(string $bytes, int $at): int
    {
        return (\ord($bytes[$at]) << 8) | \ord($bytes[$at + 1]);
    }

    private static function number32(string $bytes, int $at): int
    {
        return (self::number16($bytes, $at) << 16) | self::number16($bytes, $at + 2);
    }
}
