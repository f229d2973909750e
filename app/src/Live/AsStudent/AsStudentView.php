<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\AsStudent;

use FreshHuddle\App\Live\Student\StudentNow;
use FreshHuddle\App\Materials\HandOut\SheetView;

/**
 * A student's pages as they will be at a moment of the running order.
 */
final readonly class AsStudentView
{
    /**
     * @param list<SheetView> $sheets
     */
    public function __construct(public StudentNow $now, public array $sheets)
    {
    }
}
