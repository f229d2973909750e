<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use FreshHuddle\App\Stream\AudienceKind;
use FreshHuddle\App\Stream\Listeners;

/**
 * Pages that show a lesson on the wall: one channel for all that have its address.
 */
final readonly class ClassPageListeners implements Listeners
{
    public static function queries(): array
    {
        return [
            AudienceKind::ClassPage->value => "SELECT 'classPage', l.id::text, l.class_page_channel FROM lesson l
              WHERE l.id IN (?) AND l.removed_at IS NULL",
        ];
    }
}
