<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

/**
 * A picture or a recording as it will be kept.
 */
final readonly class ReadMedia
{
    /**
     * @param int $width   pixels; 0 for a recording
     * @param int $seconds 0 for a picture, or where the file does not say
     */
    public function __construct(
        public MediaKind $kind,
        public string $type,
        public string $bytes,
        public int $width = 0,
        public int $height = 0,
        public int $seconds = 0,
    ) {
    }
}
