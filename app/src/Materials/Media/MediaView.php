<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

/**
 * A picture or a recording that is kept.
 */
final readonly class MediaView
{
    /**
     * @param int $width   pixels; 0 for a recording
     * @param int $seconds 0 for a picture, or where the file does not say
     */
    public function __construct(
        public string $id,
        public MediaKind $kind,
        public int $width,
        public int $height,
        public int $seconds,
    ) {
    }
}
