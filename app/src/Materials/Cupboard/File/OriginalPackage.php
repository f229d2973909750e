<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard\File;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\File\Package;
use FreshHuddle\App\Http\File\UnreadableZip;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Materials\Cupboard\Markdown;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Media\MediaName;
use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\Core\Materials\Original;

/**
 * An original with its pictures and recordings in one file: a zip archive of the original as JSON or Markdown, and of
 * `media/ID.png` and the like.
 */
final readonly class OriginalPackage
{
    /** Bytes of the text in it: as much as a text by itself may have. */
    private const MOST_TEXT = 1_600_000;
    private const TEXTS = ['original.json', 'original.md'];

    public function __construct(private MediaShelf $shelf)
    {
    }

    /**
     * @param string $name of the text in it: original.json, original.md
     */
    public function write(string $name, string $text, Original $original): string
    {
        return Zip::fromFiles($this->shelf->files([$name => $text], $original->media()));
    }

    /**
     * @return array{text: string, media: array<string, string>} the original as text; names in the archive by the ids
     *     that stand in it
     *
     * @throws MaterialsRefused if it is no such archive
     */
    public function read(string $bytes): array
    {
        $zip = self::open($bytes);
        foreach (self::TEXTS as $name) {
            $text = $zip->file($name);
            if (null !== $text && \strlen($text) > self::MOST_TEXT) {
                throw MaterialsRefused::unusable('materials.package_too_large', 'package');
            }
            if (null !== $text) {
                return ['text' => mb_scrub($text), 'media' => MediaName::in($zip)];
            }
        }
        throw MaterialsRefused::unusable('materials.file_of_another_kind', 'package');
    }

    /**
     * Puts into a teacher's cupboard what an original shows.
     *
     * @param array<string, string> $media names in the archive, by id
     *
     * @return array<string, string> what each is known by from now on, by the id that stands in the original
     *
     * @throws MaterialsRefused if one of them is nothing that can be kept
     */
    public function keep(Teacher $teacher, string $bytes, array $media): array
    {
        $zip = self::open($bytes);
        $ids = [];
        foreach ($media as $id => $file) {
            $ids[$id] = $this->shelf->putBytes($teacher, (string) $zip->file($file))->id;
        }

        return $ids;
    }

    private static function open(string $bytes): Zip
    {
        try {
            return Zip::open($bytes, Package::MOST_BYTES);
        } catch (UnreadableZip $e) {
            throw MaterialsRefused::unusable(
                $e->tooLarge ? 'materials.package_too_large' : 'materials.file_of_another_kind',
                'package',
            );
        }
    }
}
