<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * How far a copy is open to the students whose it is.
 */
enum CopyOpen: string
{
    case Closed = 'closed';
    /** It can be read, and nothing can be written in it. */
    case Read = 'read';
    case Write = 'write';

    public function isClosed(): bool
    {
        return self::Closed === $this;
    }
}
