<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

/**
 * Work that is on every screen.
 */
final readonly class ShownView
{
    /**
     * @param string           $by     who shows it
     * @param bool             $frozen it stands as it was, whatever is written meanwhile
     * @param list<ShownPiece> $pieces one, or two beside each other
     */
    public function __construct(public string $by, public bool $frozen, public array $pieces)
    {
    }
}
