<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Erasure;

use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Letters to the student and posts about them are not known any more.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private DeliveryErasureStore $store)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $this->store->forget($event->classId, $event->student);
    }
}
