<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Erasure;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * What happened to the student is not known any more; what they did with others was done by a former member.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private EventErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
