<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

/**
 * Lengths of time as files and papers of a record say them.
 */
final readonly class Minutes
{
    /**
     * @param int $ms milliseconds
     *
     * @return string minutes with one decimal
     */
    public static function text(int $ms): string
    {
        return number_format($ms / 60_000, 1, '.', '');
    }
}
