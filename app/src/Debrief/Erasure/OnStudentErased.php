<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Erasure;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Work of the student is not shown any more, and nothing others have said names them.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private DebriefErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
