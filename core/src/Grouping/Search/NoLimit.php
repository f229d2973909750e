<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Lets a search go on until it ends by itself.
 */
final readonly class NoLimit implements Limit
{
    public function isReached(): bool
    {
        return false;
    }
}
