<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Materials\HandOut\Copy\NewTableCopies;
use FreshHuddle\Core\Lesson\Phase;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A group that comes about while groups are out gets its copies at once, and so does a student who gets a seat; a part
 * of another group begins with what stands in that group's. Work that is done alone is still to come when groups are
 * back.
 */
#[AsEventListener]
final readonly class OnNewTables
{
    public function __construct(
        private LessonRepository $lessons,
        private NewTableCopies $copies,
        private Clock $clock,
    ) {
    }

    public function __invoke(FloorChanged $event): void
    {
        [$new, $seats] = [$event->newTables(), $event->newSeats()];
        foreach ([] === $new && [] === $seats ? [] : $this->lessons->roundsIn($event->groupingId) as $round) {
            $phase = $round->state()->phase($this->clock->ms());
            if ($phase->isUnderWay()) {
                $this->copies->make($round, $event->after, $new, $event->split, $seats);
            } elseif (Phase::Back === $phase && null === $round->lesson->endedAt) {
                $this->copies->make($round, $event->after, [], [], $seats, true);
            }
        }
    }
}
