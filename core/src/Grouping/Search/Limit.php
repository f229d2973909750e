<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * When a search is to stop. Core has no clock; whoever has one brings it along.
 */
interface Limit
{
    /**
     * Asked often, so it has to be quick.
     */
    public function isReached(): bool;
}
