<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch\Part;

use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Watch\Part;

/**
 * Where pictures, recordings and papers lie.
 */
final readonly class FilesPart implements Part
{
    private const KEY = 'watch';

    public function __construct(private FileStore $store)
    {
    }

    public function name(): string
    {
        return 'files';
    }

    public function isNeeded(): bool
    {
        return false;
    }

    public function isUp(): bool
    {
        try {
            $this->store->put(self::KEY, 'up');

            return 'up' === $this->store->get(self::KEY);
        } catch (FileAway) {
            return false;
        }
    }
}
