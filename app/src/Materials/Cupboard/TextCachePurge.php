<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\App\Worker\PurgesExpired;
use Symfony\Component\Cache\PruneableInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Lets go of parsed texts that nobody has read for two months.
 */
final readonly class TextCachePurge implements PurgesExpired
{
    public function __construct(#[Autowire(service: 'cache.texts')] private PruneableInterface $texts)
    {
    }

    public function forgetOld(): void
    {
        $this->texts->prune();
    }
}
