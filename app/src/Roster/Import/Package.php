<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Http\File\UnreadableZip;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Roster\Exception\RosterRefused;

/**
 * A class list in a zip archive.
 */
final class Package
{
    private const MOST_BYTES = 8_000_000;

    private readonly Zip $zip;

    /**
     * @throws RosterRefused if it is no archive, or unpacks to too much
     */
    public function __construct(string $bytes)
    {
        try {
            $this->zip = Zip::open($bytes, self::MOST_BYTES);
        } catch (UnreadableZip $e) {
            throw RosterRefused::unusable(
                $e->tooLarge ? 'roster.file.too_large' : 'roster.file.damaged_package',
                'file',
            );
        }
    }

    public static function isOne(string $bytes): bool
    {
        return Zip::isOne($bytes);
    }

    /**
     * @return list<string>
     */
    public function names(): array
    {
        return $this->zip->names();
    }

    public function has(string $name): bool
    {
        return $this->zip->has($name);
    }

    public function text(string $name): ?string
    {
        return $this->zip->file($name);
    }
}
