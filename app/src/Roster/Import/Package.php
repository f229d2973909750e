<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;

/**
 * A zip archive held in memory, opened with care: a small file can unpack to a huge one.
 */
final class Package
{
    private const MOST_BYTES = 8_000_000;
    private const MOST_ENTRIES = 2_000;

    private readonly \ZipArchive $zip;

    /**
     * @throws RosterRefused if it is no archive, or unpacks to too much
     */
    public function __construct(string $bytes)
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'huddle-list');
        $this->zip = new \ZipArchive();
        try {
            file_put_contents($path, $bytes);
            $opened = $this->zip->open($path, \ZipArchive::RDONLY);
        } finally {
            @unlink($path); // what is open stays readable, and nothing is left behind whatever happens
        }
        if (true !== $opened) {
            throw RosterRefused::unusable('roster.file.damaged_package', 'file');
        }
        $size = 0;
        for ($i = 0; $i < min($this->zip->numFiles, self::MOST_ENTRIES + 1); ++$i) {
            $entry = $this->zip->statIndex($i);
            $size += false === $entry ? 0 : (int) $entry['size'];
        }
        if ($this->zip->numFiles > self::MOST_ENTRIES || $size > self::MOST_BYTES) {
            throw RosterRefused::unusable('roster.file.too_large', 'file');
        }
    }

    public static function isOne(string $bytes): bool
    {
        return str_starts_with($bytes, "PK\x03\x04");
    }

    public function has(string $name): bool
    {
        return false !== $this->zip->locateName($name);
    }

    public function text(string $name): ?string
    {
        $text = $this->zip->getFromName($name, self::MOST_BYTES);

        return false === $text ? null : $text;
    }
}
