<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

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
              JOIN school_class c ON c.id = g.class_id JOIN teacher_device d ON (d.teacher_id = c.teacher_id
              OR d.teacher_id IN (SELECT m.teacher_id FROM class_staff m WHERE m.class_id = c.id)) WHERE g.id IN (?)
              AND d.until > now()",
        ];
    }
}
