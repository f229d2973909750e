<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch\Part;

use FreshHuddle\App\Rooms\Own\MediaServer;
use FreshHuddle\App\Watch\Part;

/**
 * Sound in rooms of our own; without it lessons go on in writing, and at rooms elsewhere.
 */
final readonly class MediaPart implements Part
{
    public function __construct(private MediaServer $media)
    {
    }

    public function name(): string
    {
        return 'media';
    }

    public function isNeeded(): bool
    {
        return false;
    }

    public function isUp(): bool
    {
        return $this->media->isUp();
    }
}
