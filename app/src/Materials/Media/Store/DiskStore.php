<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

use League\Flysystem\Filesystem;
use League\Flysystem\Local\LocalFilesystemAdapter;

/**
 * A folder of this machine.
 */
final readonly class DiskStore extends Flysystem
{
    public function __construct(string $folder)
    {
        parent::__construct(new Filesystem(new LocalFilesystemAdapter($folder, lazyRootCreation: true)), false);
    }
}
