<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Lesson\LessonRepository;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A group that comes about while groups are out gets its copies at once. A part of another group begins with what stands
 * in that group's.
 */
#[AsEventListener]
final readonly class OnNewTables
{
    public function __construct(private LessonRepository $lessons, private HandingOut $handingOut, private Clock $clock)
    {
    }

    public function __invoke(FloorChanged $event): void
    {
        $new = $event->newTables();
        foreach ([] === $new ? [] : $this->lessons->roundsIn($event->groupingId) as $round) {
            if ($round->state()->phase($this->clock->ms())->isUnderWay()) {
                $this->handingOut->makeForNew($round, $event->after, $new, $event->split);
            }
        }
    }
}
