<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * What a slot holds that holds things.
 */
final readonly class Things
{
    /**
     * @return array<array-key, mixed> by thing; none where nothing was done
     */
    public static function in(string $value): array
    {
        $things = '' === $value ? [] : json_decode($value, true);

        return \is_array($things) ? $things : [];
    }
}
