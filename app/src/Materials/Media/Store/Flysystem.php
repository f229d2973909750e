<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

use League\Flysystem\FilesystemException;
use League\Flysystem\FilesystemOperator;

/**
 * What the stores have in common that Flysystem speaks to. A folder holds no more than a few hundred files: the first two
 * signs of a key are its folder.
 */
abstract readonly class Flysystem implements FileStore
{
    public function __construct(private FilesystemOperator $files)
    {
    }

    public function put(string $key, string $bytes): void
    {
        try {
            $this->files->write(self::path($key), $bytes);
        } catch (FilesystemException $e) {
            throw new FileAway('A file could not be kept.', 0, $e);
        }
    }

    public function get(string $key): string
    {
        try {
            return $this->files->read(self::path($key));
        } catch (FilesystemException $e) {
            throw new FileAway('A file could not be read.', 0, $e);
        }
    }

    public function drop(string $key): void
    {
        try {
            $this->files->delete(self::path($key));
        } catch (FilesystemException $e) {
            throw new FileAway('A file could not be let go.', 0, $e);
        }
    }

    private static function path(string $key): string
    {
        return 1 === preg_match('/^[0-9a-z]{3,80}$/D', $key) ? substr($key, 0, 2).'/'.$key : throw new \LogicException('No key of a file.');
    }
}
