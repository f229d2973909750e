<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * A known way to let everybody meet nobody twice, for classes it fits.
 */
interface Construction
{
    /**
     * @param list<int> $sizes  larger first
     * @param int       $rounds 2 or more
     *
     * @return list<list<list<int>>>|null rounds in which no two of 0 to Σ sizes − 1 meet twice; null where it does not
     *     fit
     */
    public function rounds(array $sizes, int $rounds): ?array;
}
