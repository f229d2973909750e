<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

/**
 * Who reports, for the whole class.
 */
final readonly class ReportView
{
    /**
     * @param ReportingGroup|null $now  whose turn it is
     * @param ReportingGroup|null $next who comes after that
     * @param bool                $done all have reported
     */
    public function __construct(public ?ReportingGroup $now, public ?ReportingGroup $next, public bool $done)
    {
    }
}
