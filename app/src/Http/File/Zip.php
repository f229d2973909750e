<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

/**
 * A zip archive held in memory, opened with care: a small file can unpack to a huge one.
 */
final class Zip
{
    private const MOST_ENTRIES = 2_000;

    /**
     * @param int<1, max> $most bytes
     */
    private function __construct(private readonly \ZipArchive $zip, private readonly int $most)
    {
    }

    /**
     * @param int<1, max> $most bytes of all that is in it, unpacked
     *
     * @throws UnreadableZip
     */
    public static function open(string $bytes, int $most): self
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'huddle-zip');
        $zip = new \ZipArchive();
        try {
            file_put_contents($path, $bytes);
            $opened = $zip->open($path, \ZipArchive::RDONLY);
        } finally {
            @unlink($path); // what is open stays readable, and nothing is left behind whatever happens
        }
        if (true !== $opened) {
            throw new UnreadableZip(false);
        }
        $size = 0;
        for ($i = 0; $i < min($zip->numFiles, self::MOST_ENTRIES + 1); ++$i) {
            $entry = $zip->statIndex($i);
            $size += false === $entry ? 0 : (int) $entry['size'];
        }
        if ($zip->numFiles > self::MOST_ENTRIES || $size > $most) {
            throw new UnreadableZip(true);
        }

        return new self($zip, $most);
    }

    /**
     * Never holds more than one file and the archive.
     *
     * @param iterable<string, string> $files bytes by name
     */
    public static function fromFiles(iterable $files): string
    {
        $paths = [];
        try {
            $paths[] = $path = (string) tempnam(sys_get_temp_dir(), 'huddle-zip');
            $zip = new \ZipArchive();
            $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            foreach ($files as $name => $bytes) {
                $paths[] = $part = (string) tempnam(sys_get_temp_dir(), 'huddle-zip');
                file_put_contents($part, $bytes);
                $zip->addFile($part, $name);
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            array_map(unlink(...), $paths);
        }
    }

    public static function isOne(string $bytes): bool
    {
        return str_starts_with($bytes, "PK\x03\x04");
    }

    /**
     * @return list<string>
     */
    public function names(): array
    {
        return array_map(
            fn (int $i): string => (string) $this->zip->getNameIndex($i),
            0 === $this->zip->numFiles ? [] : range(0, $this->zip->numFiles - 1),
        );
    }

    public function has(string $name): bool
    {
        return false !== $this->zip->locateName($name);
    }

    /**
     * @return string|null its bytes; null where there is no such file, or it cannot be unpacked
     */
    public function file(string $name): ?string
    {
        $bytes = $this->zip->getFromName($name, $this->most);

        return false === $bytes ? null : $bytes;
    }
}
