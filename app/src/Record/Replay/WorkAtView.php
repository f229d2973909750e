<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Replay;

use FreshHuddle\App\Debrief\HoldUp\ShownPiece;

/**
 * The work of a group as it was at a moment.
 */
final readonly class WorkAtView
{
    /**
     * @param int              $at     milliseconds since 1970
     * @param list<ShownPiece> $pieces a copy each
     */
    public function __construct(public int $at, public array $pieces)
    {
    }
}
