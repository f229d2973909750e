<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Rule;

/**
 * “Ada, Ben and Chi”.
 */
final class Names
{
    /**
     * @param list<string> $names
     */
    public static function list(array $names): string
    {
        $last = array_pop($names) ?? '';

        return [] === $names ? $last : implode(', ', $names).' and '.$last;
    }
}
