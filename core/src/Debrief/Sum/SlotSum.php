<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;

/**
 * Takes together what all groups have done in a slot of a kind.
 */
interface SlotSum
{
    /**
     * @param list<SourceAnswer> $given one from each source; empty values count as nothing done
     *
     * @return Sum O(n) in what was given
     */
    public function sum(Block $block, array $given): Sum;
}
