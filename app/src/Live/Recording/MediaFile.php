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
     * @return string|null null where it has no packets, or is no such file
     */
    public static function filled(string $file): ?string
    {
        if (!str_starts_with($file, self::MARK) || \strlen($file) < 10) {
            return null;
        }
        $headEnds = 10 + self::number16($file, 8);
        $filled = substr($file, 0, $headEnds);
        $number = 0;
        $next = null;
        foreach (self::packets($file, $headEnds) as $time => [$fixed, $payload]) {
            $next ??= $time;
            $gap = intdiv($time - $next, self::SAMPLES);
            for ($i = 0; $i < min($gap, self::LONGEST_GAP); ++$i) {
                $filled .= self::frame($fixed, $number++, $next + $i * self::SAMPLES, self::SILENCE);
            }
            $filled .= self::frame($fixed, $number++, $time, $payload);
            $next = $time + self::SAMPLES;
        }

        return 0 === $number ? null : $filled;
    }

    /**
     * @return array<int, array{string, string}> by time in samples, in order: the unchanging part of the packet's head,
     *     and what is in it
     */
    private static function packets(string $file, int $at): array
    {
        $packets = [];
        [$last, $turns] = [null, 0];
        while ($at + 10 <= \strlen($file) && str_starts_with(substr($file, $at, 4), 'ME')) {
            $length = self::number16($file, $at + 8);
            $packet = substr($file, $at + 10, $length);
            $at += 10 + $length;
            $payload = \strlen($packet) === $length ? self::payload($packet) : '';
            if ('' === $payload) {
                continue;
            }
            $time = self::number32($packet, 4);
            // Times begin anew after a day; a packet that was late is of before.
            $turns += null === $last ? 0 : ($time - $last < -0x80000000 ? 1 : ($time - $last > 0x80000000 ? -1 : 0));
            $last = $time;
            $packets[$time + $turns * 0x100000000] ??= [$packet[0], $packet[1], substr($packet, 8, 4), $payload];
        }
        ksort($packets);

        return array_map(
            static fn (array $packet): array => [\chr(0x80).$packet[1].$packet[2], $packet[3]],
            $packets,
        );
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
        $packet = substr($fixed, 0, 2).pack('nN', $number & 0xFFFF, $time & 0xFFFFFFFF).substr($fixed, 2).$payload;

        return 'MEET'.pack('N', $number * 20).pack('n', \strlen($packet)).$packet;
    }

    private static function number16(string $bytes, int $at): int
    {
        return \ord($bytes[$at]) << 8 | \ord($bytes[$at + 1]);
    }

    private static function number32(string $bytes, int $at): int
    {
        return self::number16($bytes, $at) << 16 | self::number16($bytes, $at + 2);
    }
}
