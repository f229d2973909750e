<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Roster\Staff\StaffDevices;
use FreshHuddle\App\Stream\AudienceKind;
use FreshHuddle\App\Stream\Listeners;

/**
 * Devices of teachers who may see a grouping.
 */
final readonly class DeskListeners implements Listeners
{
    public static function queries(): array
    {
        return [
            AudienceKind::Desk->value => "SELECT 'desk', g.id::text, d.channel FROM grouping g
              JOIN school_class c ON c.id = g.class_id ".StaffDevices::JOIN.' WHERE g.id IN (?)',
        ];
    }
}
