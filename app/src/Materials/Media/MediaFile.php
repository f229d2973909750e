<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use FreshHuddle\App\Materials\Exception\MaterialsRefused;

/**
 * Tells by the content of a file what it is, and makes of it what is kept; whatever it is called and says it is.
 */
final readonly class MediaFile
{
    /** Bytes. */
    public const MOST = 5_000_000;

    public function __construct(private PictureFile $pictures, private SoundFile $sounds)
    {
    }

    /**
     * @throws MaterialsRefused if it is none of what can be kept
     */
    public function read(string $bytes): ReadMedia
    {
        if (\strlen($bytes) > self::MOST) {
            throw MaterialsRefused::unusable(
                'materials.media.too_large',
                'content',
                ['most' => self::MOST / 1_000_000],
            );
        }

        return $this->pictures->read($bytes) ??
            ($this->sounds->read($bytes) ?? throw MaterialsRefused::unusable('materials.media.unknown', 'content'));
    }
}
