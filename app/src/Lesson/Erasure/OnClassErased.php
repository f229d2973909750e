<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Erasure;

use FreshHuddle\App\Roster\Event\ClassErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * The lessons of a class go with it, and all that came of them.
 */
#[AsEventListener(priority: 10)]
final readonly class OnClassErased
{
    public function __construct(private PlanErasureStore $store)
    {
    }

    public function __invoke(ClassErased $event): void
    {
        $this->store->forgetClass($event->classId);
    }
}
