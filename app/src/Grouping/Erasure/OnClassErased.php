<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Erasure;

use FreshHuddle\App\Roster\Event\ClassErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * The groupings of a class go with it.
 */
#[AsEventListener(priority: 0)]
final readonly class OnClassErased
{
    public function __construct(private FloorErasureStore $store)
    {
    }

    public function __invoke(ClassErased $event): void
    {
        $this->store->forgetClass($event->classId);
    }
}
