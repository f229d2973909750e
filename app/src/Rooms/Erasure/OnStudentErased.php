<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Erasure;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Rooms are not called after the student any more.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private RoomErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
