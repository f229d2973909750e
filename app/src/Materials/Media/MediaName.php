<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use FreshHuddle\App\Http\File\Zip;

/**
 * What pictures and recordings are called in an archive: `media/ID.png`.
 */
final readonly class MediaName
{
    private const ENDINGS = [
        'image/png' => 'png',
        'image/jpeg' => 'jpg',
        'image/webp' => 'webp',
        'audio/mpeg' => 'mp3',
        'audio/ogg' => 'ogg',
        'audio/webm' => 'webm',
        'audio/mp4' => 'm4a',
    ];

    public static function of(Media $media): string
    {
        return "media/{$media->id}.".(self::ENDINGS[$media->type] ?? 'bin');
    }

    /**
     * @return array<string, string> names in the archive, by id
     */
    public static function in(Zip $zip): array
    {
        $names = [];
        foreach ($zip->names() as $name) {
            if (1 === preg_match('~^media/([0-9a-f-]{36})\.[a-z0-9]{1,5}$~D', $name, $found)) {
                $names[$found[1]] = $name;
            }
        }

        return $names;
    }
}
