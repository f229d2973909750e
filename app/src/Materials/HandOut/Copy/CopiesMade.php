<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

/**
 * How many copies were made.
 */
final readonly class CopiesMade
{
    /**
     * @param int          $made    new copies
     * @param int          $brought copies brought to the present version, in which nobody had written
     * @param list<string> $kept    names of copies left as they are, because somebody has written in them
     */
    public function __construct(public int $made, public int $brought, public array $kept)
    {
    }
}
