<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

/**
 * Whether a recording is one from its first byte to its last: nothing is missing at its end, and nothing else hangs on
 * it.
 *
 * Complexity: O(bytes)
 */
final readonly class SoundWhole
{
    /** Bytes of an MP3 that belong to no frame: padding, and a last frame that was cut. */
    private const LOOSE = 8_192;
    /** Kilobits a second of MPEG-1 and MPEG-2, layer III (ISO 11172-3, ISO 13818-3). */
    private const RATES = [
        [0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160],
        [0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320],
    ];
    /** Samples a second of MPEG-2.5, (reserved), MPEG-2 and MPEG-1. */
    private const SAMPLES = [[11_025, 12_000, 8_000], [], [22_050, 24_000, 16_000], [44_100, 48_000, 32_000]];
    /** What stands in a segment, and in a cluster, of Matroska (RFC 9559). */
    private const SEGMENT = [
        "\x11\x4D\x9B\x74",
        "\x15\x49\xA9\x66",
        "\x16\x54\xAE\x6B",
        self::CLUSTER,
        "\x1C\x53\xBB\x6B",
        "\x12\x54\xC3\x67",
        "\x10\x43\xA7\x70",
        "\x19\x41\xA4\x69",
        "\xEC",
        "\xBF",
    ];
    private const CLUSTER = "\x1F\x43\xB6\x75";
    private const IN_CLUSTER = ["\xE7", "\xA3", "\xA0", "\xA7", "\xAB", "\x58\x54", "\xAF", "\xEC", "\xBF"];

    /**
     * @param string $type as the recording is kept: audio/mpeg, audio/ogg, audio/mp4, audio/webm
     */
    public static function check(string $bytes, string $type): bool
    {
        return match ($type) {
            'audio/mpeg' => self::mp3($bytes),
            'audio/ogg' => self::ogg($bytes),
            'audio/mp4' => self::mp4($bytes),
            default => self::webm($bytes),
        };
    }

    private static function mp3(string $bytes): bool
    {
        $length = \strlen($bytes);
        $at = $loose = $frames = 0;
        if (str_starts_with($bytes, 'ID3') && $length > 10) {
            $at =
                10 +
                (((\ord($bytes[6]) & 127) << 21) |
                    ((\ord($bytes[7]) & 127) << 14) |
                    ((\ord($bytes[8]) & 127) << 7) |
                    (\ord($bytes[9]) & 127));
        }
        while ($at < $length) {
            if (128 === $length - $at && str_starts_with(substr($bytes, $at, 3), 'TAG')) {
                break;
            }
            $frame = self::frame($bytes, $at);
            if ($frame > 0 && $at + $frame <= $length) {
                $at += $frame;
                ++$frames;
            } elseif (++$loose > self::LOOSE) {
                return false;
            } else {
                ++$at;
            }
        }

        return $frames > 0 && $at <= $length;
    }

    /**
     * @return int bytes of the frame that begins here; 0: none does
     */
    private static function frame(string $bytes, int $at): int
    {
        if ("\xFF" !== $bytes[$at] || !isset($bytes[$at + 3])) {
            return 0;
        }
        [$second, $third] = [\ord($bytes[$at + 1]), \ord($bytes[$at + 2])];
        [$version, $layer] = [($second >> 3) & 3, ($second >> 1) & 3];
        $samples = self::SAMPLES[$version][($third >> 2) & 3] ?? 0;
        $rate = self::RATES[3 === $version ? 1 : 0][$third >> 4] ?? 0;
        if (0xE0 !== ($second & 0xE0) || 1 !== $layer || 0 === $samples || 0 === $rate) {
            return 0;
        }

        return intdiv((3 === $version ? 144_000 : 72_000) * $rate, $samples) + (($third >> 1) & 1);
    }

    private static function ogg(string $bytes): bool
    {
        $length = \strlen($bytes);
        $at = 0;
        while ($at < $length) {
            if ('OggS' !== substr($bytes, $at, 4) || $at + 27 > $length) {
                return false;
            }
            $segments = \ord($bytes[$at + 26]);
            $lacing = substr($bytes, $at + 27, $segments);
            $at += 27 + $segments + array_sum(array_map(\ord(...), '' === $lacing ? [] : str_split($lacing)));
        }

        return $at === $length;
    }

    private static function mp4(string $bytes): bool
    {
        $length = \strlen($bytes);
        $at = 0;
        while ($at < $length) {
            if ($at + 8 > $length || 1 !== preg_match('/^[\x20-\x7E]{4}$/D', substr($bytes, $at + 4, 4))) {
                return false;
            }
            $size = self::number(substr($bytes, $at, 4));
            if (1 === $size) {
                $size = $at + 16 > $length ? 0 : self::number(substr($bytes, $at + 8, 8));
            } elseif (0 === $size) {
                return true; // the last goes to the end
            }
            if ($size < 8) {
                return false;
            }
            $at += $size;
        }

        return $at === $length;
    }

    private static function webm(string $bytes): bool
    {
        $length = \strlen($bytes);
        $head = self::element($bytes, 0);
        if ("\x1A\x45\xDF\xA3" !== ($head['id'] ?? '') || null === $head['size']) {
            return false;
        }
        $segment = self::element($bytes, $head['at'] + $head['size']);
        if ("\x18\x53\x80\x67" !== ($segment['id'] ?? '')) {
            return false;
        }
        $end = null === $segment['size'] ? $length : $segment['at'] + $segment['size'];
        if ($end > $length) {
            return false;
        }
        $at = $segment['at'];
        $inside = self::SEGMENT;
        while ($at < $end) {
            $next = self::element($bytes, $at);
            if (null === $next || !\in_array($next['id'], $inside, true)) {
                return false;
            }
            // A cluster that does not say how long it is goes on as long as there is what stands in one.
            $isOpen = self::CLUSTER === $next['id'] && null === $next['size'];
            $inside =
                $isOpen || (self::SEGMENT !== $inside && \in_array($next['id'], self::IN_CLUSTER, true))
                    ? [...self::SEGMENT, ...self::IN_CLUSTER]
                    : self::SEGMENT;
            if (null === $next['size'] && !$isOpen) {
                return false;
            }
            $at = $next['at'] + ($next['size'] ?? 0);
        }

        return $at === $end && $end === $length;
    }

    /**
     * @return array{id: string, size: int|null, at: int}|null its id, how long it is (null: it does not say), and where
     *     what is in it begins
     */
    private static function element(string $bytes, int $at): ?array
    {
        $width = self::width($bytes, $at, 4);
        $sizeAt = $at + $width;
        $sizeWidth = 0 === $width ? 0 : self::width($bytes, $sizeAt, 8);
        if (0 === $sizeWidth || $sizeAt + $sizeWidth > \strlen($bytes)) {
            return null;
        }
        $mark = 1 << (8 - $sizeWidth);
        $size = \ord($bytes[$sizeAt]) & ($mark - 1);
        $isUnknown = $size === $mark - 1;
        for ($i = 1; $i < $sizeWidth; ++$i) {
            $byte = \ord($bytes[$sizeAt + $i]);
            $isUnknown = $isUnknown && 255 === $byte;
            $size = ($size << 8) | $byte;
        }

        return $size < 0
            ? null
            : [
                'id' => substr($bytes, $at, $width),
                'size' => $isUnknown ? null : $size,
                'at' => $sizeAt + $sizeWidth,
            ];
    }

    /**
     * @return int bytes of the number that begins here (EBML, RFC 8794); 0: none does
     */
    private static function width(string $bytes, int $at, int $most): int
    {
        $first = \ord($bytes[$at] ?? "\0");
        for ($width = 1; $width <= $most; ++$width) {
            if (0 !== ($first & (1 << (8 - $width)))) {
                return $width;
            }
        }

        return 0;
    }

    private static function number(string $bytes): int
    {
        $number = 0;
        foreach (str_split($bytes) as $byte) {
            $number = ($number << 8) | \ord($byte);
        }

        return $number < 0 ? 0 : $number;
    }
}
