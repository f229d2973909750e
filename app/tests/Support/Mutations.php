<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Random\Randomizer;

/**
 * Files as nobody would write them: something strange in any place, something gone, something twice, bytes turned.
 */
final class Mutations
{
    private const STRANGE = [
        null, true, false, 0, -1, 1, 3, 2.5, 1e308, \PHP_INT_MAX, \PHP_INT_MIN, '', ' ', 'round', 'each', "a\nb",
        "\u{202E}", "\0", '=1+1', [], [[]], [null], ['a' => 1], [1, 2], '__proto__', '../../etc/passwd',
        '<script>alert(1)</script>', '01a230ee-46bc-72a2-a569-ee4c37a0d48b', '2026-12-01T00:00:00Z',
    ];

    /**
     * @param int $times how many places are touched
     */
    public static function json(string $json, Randomizer $chance, int $times): string
    {
        $data = json_decode($json, true, 64, \JSON_THROW_ON_ERROR);
        for ($i = 0; $i < $times; ++$i) {
            $data = self::touched($data, $chance);
        }

        return json_encode($data, \JSON_THROW_ON_ERROR);
    }

    /**
     * One to eight bytes turned, a stretch taken out, or the end cut off.
     */
    public static function bytes(string $bytes, Randomizer $chance): string
    {
        $last = \strlen($bytes) - 1;
        switch ($chance->getInt(0, 3)) {
            case 0:
                return substr($bytes, 0, $chance->getInt(0, $last));
            case 1:
                return substr_replace($bytes, '', $chance->getInt(0, $last), $chance->getInt(1, 40));
            default:
                for ($i = $chance->getInt(1, 8); $i > 0; --$i) {
                    $bytes[$chance->getInt(0, $last)] = \chr($chance->getInt(0, 255));
                }

                return $bytes;
        }
    }

    private static function touched(mixed $data, Randomizer $chance): mixed
    {
        if (!\is_array($data) || [] === $data || 0 === $chance->getInt(0, 12)) {
            return self::STRANGE[$chance->getInt(0, \count(self::STRANGE) - 1)];
        }
        $key = array_keys($data)[$chance->getInt(0, \count($data) - 1)];
        switch ($chance->getInt(0, 9)) {
            case 0:
                unset($data[$key]);

                return array_is_list($data) || \is_int($key) ? array_values($data) : $data;
            case 1:
                return \is_int($key) ? [...$data, $data[$key]] : [...$data, $key.'x' => $data[$key]];
            default:
                $data[$key] = self::touched($data[$key], $chance);

                return $data;
        }
    }
}
