<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Roster\Staff\StaffDevices;
use FreshHuddle\App\Stream\AudienceKind;
use FreshHuddle\App\Stream\Listeners;

/**
 * Devices of teachers who may see a lesson.
 */
final readonly class StaffListeners implements Listeners
{
    public static function queries(): array
    {
        return [
            AudienceKind::Staff->value => "SELECT 'staff', l.id::text, d.channel FROM lesson l
              JOIN school_class c ON c.id = l.class_id ".StaffDevices::JOIN.' WHERE l.id IN (?)',
        ];
    }
}
