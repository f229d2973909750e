<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Erasure;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Floors as they were before, and variants, have one student less.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private FloorErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
