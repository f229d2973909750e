<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * The name a student types who comes in: mostly as it stands on the list, and as students do it.
 */
final class TypedName
{
    private const SILLY = ['frog', 'the real one', 'nobody', 'xX_%s_Xx', '%s %s %s', '🐸', 'teacher', '12345'];

    /**
     * @param string $name as it stands on the list; not empty
     */
    public static function draw(string $name, Draw $draw): string
    {
        $first = preg_split('/\s+/u', $name, 2)[0] ?? $name;
        $how = $draw->part();

        return match (true) {
            $how < 0.7 => $name,
            $how < 0.82 => $first,
            $how < 0.88 => mb_strtolower($name),
            $how < 0.94 => self::slip($name, $draw),
            $how < 0.97 => self::reversed($name),
            default => str_replace('%s', mb_strtolower($first), $draw->oneOf(self::SILLY)),
        };
    }

    /** Two letters that stand beside each other change places. */
    private static function slip(string $name, Draw $draw): string
    {
        $letters = mb_str_split($name);
        if (\count($letters) < 2) {
            return $name;
        }
        $at = $draw->between(0, \count($letters) - 2);
        [$letters[$at], $letters[$at + 1]] = [$letters[$at + 1], $letters[$at]];

        return trim(implode('', $letters));
    }

    private static function reversed(string $name): string
    {
        $parts = explode(' ', $name);
        $last = array_pop($parts);

        return [] === $parts ? $last : $last.', '.implode(' ', $parts);
    }
}
