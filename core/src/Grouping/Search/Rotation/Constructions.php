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
        return self::first(
            [
                new RoundRobin(),
                new FieldNet(),
                new AffineLines(),
                new FieldTriples(),
                new CyclicRotation(),
                new Fewer(new CyclicRotation()),
                new Fewer(new AffineLines()),
                new Fewer(new FieldTriples()),
                new Fewer(new FieldNet()),
            ],
            $sizes,
            $rounds,
        );
    }

    /**
     * @param list<Construction> $constructions
     * @param list<int>          $sizes
     *
     * @return list<list<list<int>>>|null
     */
    private static function first(array $constructions, array $sizes, int $rounds): ?array
    {
        foreach ($constructions as $construction) {
            $found = $construction->rounds($sizes, $rounds);
            if (null !== $found) {
                return $found;
            }
        }

        return null;
    }
}
