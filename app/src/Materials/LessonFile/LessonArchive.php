<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Http\File\Package;
use FreshHuddle\App\Http\File\UnreadableZip;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Media\MediaName;

/**
 * The archive a lesson comes in: `plan.json`, and `media/ID.png` and the like.
 */
final readonly class LessonArchive
{
    public const PLAN = 'plan.json';
    private const MOST_PLAN = 4_000_000;

    /**
     * @param array<string, string> $media names in the archive, by the ids that stand in worksheets
     */
    private function __construct(public string $plan, public array $media, private Zip $zip)
    {
    }

    /**
     * @throws MaterialsRefused if it is no such archive
     */
    public static function open(string $bytes): self
    {
        try {
            $zip = Zip::open($bytes, Package::MOST_BYTES);
        } catch (UnreadableZip $e) {
            throw self::refused($e->tooLarge ? 'materials.package_too_large' : 'materials.lesson_file_of_another_kind');
        }
        $plan = $zip->file(self::PLAN) ?? throw self::refused('materials.lesson_file_of_another_kind');
        if (\strlen($plan) > self::MOST_PLAN) {
            throw self::refused('materials.package_too_large');
        }

        return new self($plan, MediaName::in($zip), $zip);
    }

    public function bytes(string $name): string
    {
        return (string) $this->zip->file($name);
    }

    private static function refused(string $code): MaterialsRefused
    {
        return MaterialsRefused::unusable($code, 'package');
    }
}
