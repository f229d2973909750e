<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Live\LiveUpdateListener;
use FreshHuddle\App\Roster\Event\Arrivals;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A lesson that the class comes into hears of who arrives.
 */
#[AsEventListener]
final readonly class OnArrivals
{
    public function __construct(
        private EntityManagerInterface $em,
        private LiveUpdateListener $liveChange,
        private PresenceStore $presence,
        private Stream $stream,
    ) {
    }

    public function __invoke(Arrivals $event): void
    {
        if (null !== $event->left) {
            $this->presence->forget($event->left); // whoever it was, it was not them: they have not come yet
        }
        if (null !== $event->cameIn) {
            $this->presence->pageIsAlive($event->cameIn);
        }
        if (null !== $event->asked) {
            $this->stream->publish([Audience::student($event->asked)], new RefreshHint());
        }
        $this->liveChange->ofArrival($this->em->find(SchoolClass::class, $event->classId)?->currentLessonId);
    }
}
