<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

use FreshHuddle\App\Http\Body\Ids;
use FreshHuddle\Core\Debrief\ShareOut\ReportOrder;

/**
 * The body of a request: in which order groups report.
 */
final readonly class ArrangeTurns
{
    /**
     * @param list<string> $groups which report, in the order put by hand; none: all
     */
    public function __construct(public ReportOrder $order, #[Ids(400)] public array $groups = [])
    {
    }
}
