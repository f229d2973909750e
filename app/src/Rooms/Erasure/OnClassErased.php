<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Erasure;

use FreshHuddle\App\Roster\Event\ClassErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * The rooms of a class go with it.
 */
#[AsEventListener(priority: 30)]
final readonly class OnClassErased
{
    public function __construct(private RoomErasureStore $store)
    {
    }

    public function __invoke(ClassErased $event): void
    {
        $this->store->forgetClass($event->classId);
    }
}
