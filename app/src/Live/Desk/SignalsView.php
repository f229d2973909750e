<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Live\Signal\GroupSignalView;
use FreshHuddle\App\Live\Signal\NextVisitView;

/**
 * How the groups of a round stand at one moment: the part of a lesson's page that changes while students write.
 */
final readonly class SignalsView
{
    /**
     * @param int                   $seq     of the lesson's last event
     * @param list<GroupSignalView> $signals in the order of the floor; none while nobody is out
     * @param list<NextVisitView>   $visits  whom to visit, the next first
     */
    public function __construct(public int $seq, public array $signals, public array $visits)
    {
    }
}
