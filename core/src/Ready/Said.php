<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

use FreshHuddle\Core\Message;

/**
 * Names in a sentence that can be read at a glance: the first few, and how many more.
 */
final class Said
{
    private const NAMED = 3;

    /**
     * @param list<string> $names
     */
    public static function some(array $names): Message
    {
        return new Message('ready.some', [
            'names' => \array_slice($names, 0, self::NAMED),
            'more' => max(0, \count($names) - self::NAMED),
        ]);
    }

    /**
     * @param list<PlannedGroup>|list<PlannedRoom>|list<PlannedCopy> $things
     */
    public static function named(array $things): Message
    {
        return self::some(
            array_map(static fn (PlannedCopy|PlannedGroup|PlannedRoom $thing): string => $thing->name, $things),
        );
    }
}
