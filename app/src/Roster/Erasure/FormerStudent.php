<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

/**
 * A student who is on the list no more.
 */
final readonly class FormerStudent
{
    /**
     * @param int $removedAt milliseconds since 1970
     */
    public function __construct(public string $id, public string $name, public int $removedAt)
    {
    }
}
