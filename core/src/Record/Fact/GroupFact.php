<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * A group as it was sent out.
 */
final readonly class GroupFact
{
    /**
     * @param int $mark which colour and sign
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $mark,
    ) {
    }
}
