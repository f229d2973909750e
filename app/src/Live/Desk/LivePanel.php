<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Notice\SaidNotice;
use FreshHuddle\App\Live\Signal\GroupSignalView;
use FreshHuddle\App\Live\Signal\LiveGroups;
use FreshHuddle\App\Live\Signal\NextVisitView;
use FreshHuddle\App\Live\Student\OtherLesson;
use FreshHuddle\App\Roster\Door\Doorway\Doorway;
use FreshHuddle\App\Roster\Door\Doorway\DoorwayView;
use FreshHuddle\App\Worker\FailedTasks;
use FreshHuddle\App\Worker\FailedTaskView;
use FreshHuddle\Core\Grouping\Group;

/**
 * What a lesson's page shows while groups are at work, and around it.
 */
final readonly class LivePanel
{
    public function __construct(
        private LiveGroups $liveGroups,
        private EventStore $events,
        private Doorway $doorway,
        private FailedTasks $failed,
        private LessonRepository $lessons,
        private RunningOrders $orders,
        private FloorStore $floors,
    ) {
    }

    /**
     * @return array{list<GroupSignalView>, list<NextVisitView>} how the groups stand that are out; whom to visit next
     */
    public function groups(LessonMoment $at): array
    {
        return !$at->isOver && $at->phase()->isUnderWay()
            ? $this->liveGroups->forRound($at->round, $at->floor, $at->where, $at->rooms, $at->now)
            : [[], []];
    }

    public function signals(LessonMoment $at): SignalsView
    {
        return new SignalsView($at->lesson->eventSeq, ...$this->groups($at));
    }

    /**
     * @return list<SaidNotice> newest first
     */
    public function notices(LessonMoment $at): array
    {
        return $this->events->notices($at->lesson->id);
    }

    /**
     * @return list<DoorwayView> who waits to be let in
     */
    public function doorway(LessonMoment $at): array
    {
        return $at->isOver ? [] : $this->doorway->forClass($at->lesson->class->id);
    }

    /**
     * @return list<FailedTaskView> what could not be done
     */
    public function failed(LessonMoment $at): array
    {
        return $this->failed->forClass($at->lesson->class->id);
    }

    /**
     * The class's other lesson that is on, if there is one.
     */
    public function other(LessonMoment $at): ?OtherLesson
    {
        $other = $this->lessons->otherThatIsOn($at->lesson);
        if (null === $other) {
            return null;
        }
        $round = $this->orders->roundNow($other);
        $groups = $round->state()->phase($at->now)->isUnderWay()
            ? array_filter(
                $this->floors->now($round->grouping->id)->groups,
                static fn (Group $group): bool => [] !== $group->students,
            )
            : [];

        return new OtherLesson(
            $other->id,
            $other->title,
            null === $other->startsAt ? null : (int) $other->startsAt->format('Uv'),
            array_sum(array_map(static fn (Group $group): int => \count($group->students), $groups)),
            \count($groups),
        );
    }
}
