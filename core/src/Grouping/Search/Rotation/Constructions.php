<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * All constructions; the first that fits.
 */
final readonly class Constructions implements Construction
{
    public function rounds(array $sizes, int $rounds): ?array
    {
        foreach ([new RoundRobin(), new FieldNet(), new Kirkman()] as $construction) {
            $found = $construction->rounds($sizes, $rounds);
            if (null !== $found) {
                return $found;
            }
        }

        return null;
    }
}
