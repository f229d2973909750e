<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Kept;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Records that came with the class know nothing of the student any more.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private KeptErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
