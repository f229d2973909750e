<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Erasure;

use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\App\Roster\Event\ClassErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * All copies of a class go with it.
 */
#[AsEventListener(priority: 20)]
final readonly class OnClassErased
{
    public function __construct(private WorkErasureStore $store, private MediaShelf $shelf)
    {
    }

    public function __invoke(ClassErased $event): void
    {
        $this->shelf->forget($this->store->forgetClass($event->classId));
    }
}
