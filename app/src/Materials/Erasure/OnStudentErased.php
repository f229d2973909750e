<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Erasure;

use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\App\Roster\Event\StudentErased;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * The student's answers, pictures and recordings go; in papers of the group they become a former member.
 */
#[AsEventListener]
final readonly class OnStudentErased
{
    public function __construct(private WorkErasureStore $store, private MediaShelf $shelf)
    {
    }

    public function __invoke(StudentErased $event): void
    {
        $media = $this->store->forget($event->classId, $event->student);
        $this->shelf->forget($media);
    }
}
