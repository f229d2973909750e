<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

/**
 * The words of a text from `from` up to, not including, `to` become `words`.
 */
final readonly class Change
{
    /**
     * @param int          $from  0 or more
     * @param int          $to    not below $from; equal for a pure insertion
     * @param list<string> $words
     */
    public function __construct(public int $from, public int $to, public array $words)
    {
    }
}
