<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use Intervention\Image\Drivers\Gd\Encoders\JpegEncoder;
use Intervention\Image\Drivers\Gd\Encoders\PngEncoder;
use Intervention\Image\Drivers\Gd\Encoders\WebpEncoder;
use Intervention\Image\ImageManager;

/**
 * Pictures are drawn anew, pixel by pixel: what else was in the file (where a photo was taken, by which device) is
 * gone, and whatever is no picture never gets out again.
 */
final readonly class PictureFile
{
    private const TYPES = [
        \IMAGETYPE_JPEG => 'image/jpeg',
        \IMAGETYPE_PNG => 'image/png',
        \IMAGETYPE_WEBP => 'image/webp',
    ];
    /** Pixels of a side of what may come in: a hand-held camera of today stays below. */
    private const LONGEST = 12_000;
    /** Pixels of what may come in, four bytes each while it is drawn, and once more while it is turned. */
    private const MOST = 25_000_000;
    /** Pixels of the longer side of what is kept. */
    private const KEPT = 2_000;

    /**
     * @return ReadMedia|null null if it is no picture of a kind that can be kept
     *
     * @throws MaterialsRefused if it is one, and cannot be drawn
     */
    public function read(string $bytes): ?ReadMedia
    {
        $size = @getimagesizefromstring($bytes);
        $type = \is_array($size) ? self::TYPES[$size[2]] ?? null : null;
        if (!\is_array($size) || null === $type) {
            return null;
        }
        [$width, $height] = $size;
        if ($width < 1 || $height < 1 || max($width, $height) > self::LONGEST || $width * $height > self::MOST) {
            throw MaterialsRefused::unusable(
                'materials.media.too_many_pixels',
                'content',
                ['most' => intdiv(self::MOST, 1_000_000)],
            );
        }
        try {
            $picture = ImageManager::gd(autoOrientation: true, decodeAnimation: false)
                ->read($bytes)
                ->scaleDown(self::KEPT, self::KEPT);
            $drawn = $picture
                ->encode(
                    match ($type) {
                        'image/jpeg' => new JpegEncoder(82),
                        'image/png' => new PngEncoder(),
                        default => new WebpEncoder(82),
                    },
                )
                ->toString();
        } catch (\Throwable) {
            // drawing libraries break in many ways on what only looks like a picture
            throw MaterialsRefused::unusable('materials.media.broken_picture', 'content');
        }

        return new ReadMedia(MediaKind::Picture, $type, $drawn, $picture->width(), $picture->height());
    }
}
