<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Erasure;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * What teachers have written into plans says nothing of the student.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private PlanErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
