<?php

declare(strict_types=1);

namespace FreshHuddle\Core;

/**
 * Whether a text shows anything: spaces, and signs that take no room or leave it empty, do not.
 */
final readonly class Visible
{
    /**
     * Beside spaces and what Unicode calls format and control: fillers of Hangul, the empty Braille cell, variation
     * selectors, joiners.
     */
    private const SOMETHING = '/[^\s\p{Z}\p{C}\x{3164}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{FFA0}\x{2800}\x{034F}\x{180B}-\x{180F}\x{FE00}-\x{FE0F}]/u';

    public static function check(string $text): bool
    {
        return 1 === preg_match(self::SOMETHING, $text);
    }

    /**
     * The text, or nothing where it shows nothing.
     */
    public static function or(string $text): string
    {
        return self::check($text) ? trim($text) : '';
    }
}
