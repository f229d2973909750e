<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

use League\Flysystem\FilesystemException;
use League\Flysystem\FilesystemOperator;

/**
 * What the stores have in common that Flysystem speaks to. A folder holds no more than a few hundred files: the first
 * two signs of a key are its folder. What is there is never written over: a file comes beside and takes its name when
 * it is whole, so that a full disk loses nothing that was kept.
 */
abstract readonly class Flysystem implements FileStore
{
    private const PARTS = 'parts/';

    /**
     * @param bool $atomic a file is there whole or not at all, whatever happens while it is written
     */
    public function __construct(private FilesystemOperator $files, private bool $atomic)
    {
    }

    public function put(string $key, string $bytes): void
    {
        $path = self::path($key);
        $part = $this->atomic ? $path : self::PARTS.$key.'-'.bin2hex(random_bytes(6));
        try {
            if (
                $this->files->fileExists($path)
                && ($this->atomic || $this->files->fileSize($path) === \strlen($bytes))
            ) {
                return; // a key says what the bytes are
            }
            $this->files->write($part, $bytes);
            if ($part !== $path) {
                $this->files->move($part, $path);
            }
        } catch (FilesystemException $e) {
            $this->letGo($part, $path);
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

    private function letGo(string $part, string $path): void
    {
        try {
            if ($part !== $path) {
                $this->files->delete($part);
            }
        } catch (FilesystemException) {
            return; // it goes later (dropParts)
        }
    }

    public function dropParts(int $before): void
    {
        if ($this->atomic) {
            return;
        }
        try {
            foreach ($this->files->listContents(self::PARTS) as $listContent) {
                if ($listContent->isFile() && ($listContent->lastModified() ?? 0) < $before) {
                    $this->files->delete($listContent->path());
                }
            }
        } catch (FilesystemException $e) {
            throw new FileAway('Parts of files could not be let go.', 0, $e);
        }
    }

    private static function path(string $key): string
    {
        return 1 === preg_match('/^[0-9a-z]{3,80}$/D', $key)
            ? substr($key, 0, 2).'/'.$key
            : throw new \LogicException('No key of a file.');
    }
}
