<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Roster\Event\Arrivals;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A lesson that the class comes into hears of who arrives.
 */
#[AsEventListener]
final readonly class OnArrivals
{
    public function __construct(private Connection $db, private LiveChange $liveChange, private Presence $presence)
    {
    }

    public function __invoke(Arrivals $event): void
    {
        if (null !== $event->cameIn) {
            $this->presence->pageIsAlive($event->cameIn);
        }
        $lesson = $this->db->fetchOne('SELECT current_lesson_id FROM school_class WHERE id = ?', [$event->classId]);
        $this->liveChange->ofArrival(\is_string($lesson) ? $lesson : null);
    }
}
