<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Ready\SetUp\Part\CopyPart;
use FreshHuddle\App\Ready\SetUp\Part\DeliveryPart;
use FreshHuddle\App\Ready\SetUp\Part\RoomPart;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Ready\SetUp\ActualState;
use FreshHuddle\Core\Ready\SetUp\SetUpList;
use FreshHuddle\Core\Ready\SetUp\WantedState;

/**
 * What has to be done for a round, from what is planned and what is there.
 */
final readonly class SetUpLists
{
    public function __construct(
        private FloorStore $floors,
        private ClassReader $classes,
        private Staff $staff,
        private RoomPart $rooms,
        private CopyPart $copies,
        private DeliveryPart $deliveries,
        private RunningOrders $orders,
    ) {
    }

    /**
     * What has to be done for a lesson: for all rounds that are still to come, and for the one that is shown.
     *
     * @param list<StudentView>|null $students everybody on the class list; null: as it is now
     * @param bool                   $ask      whether services may be asked who is in rooms that are to go
     *
     * @return array{SetUpList, array<string, SetUpList>} all of it, and by round
     */
    public function ofLesson(Round $shown, ?array $students = null, bool $ask = true): array
    {
        $students ??= $this->classes->students($shown->lesson->class->id);
        $lists = [];
        foreach ($this->orders->roundsToCome($shown) as $round) {
            $lists[$round->id] = $this->forRound($round, null, $students, null, $ask);
        }

        return [SetUpList::join($lists), $lists];
    }

    /**
     * @param Floor|null             $floor    null: as it is now
     * @param list<StudentView>|null $students everybody on the class list; null: as it is now
     * @param list<CopySummary>|null $copies   of the round; null: as they are now
     * @param bool                   $ask      whether services may be asked who is in rooms that are to go
     */
    public function forRound(
        Round $round,
        ?Floor $floor = null,
        ?array $students = null,
        ?array $copies = null,
        bool $ask = true,
    ): SetUpList {
        $class = $round->lesson->class;
        $floor ??= $this->floors->now($round->grouping->id);
        $students ??= $this->classes->students($class->id);
        if ([] === $floor->groups) {
            return SetUpList::between(new WantedState(), new ActualState());
        }
        $names = $tables = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name;
        }
        foreach ($floor->groups as $group) {
            $tables[$group->id] = $group->name;
        }
        $staff = $this->staff->names($class);
        $wantedCopies = $this->copies->wanted($round, $floor);
        [$posts, $letters] = $this->deliveries->wanted($round);
        [$postsThere, $lettersThere] = $this->deliveries->there($round);

        return SetUpList::between(
            new WantedState(
                $this->rooms->wanted($round, $floor, $names, $staff),
                $wantedCopies['copies'],
                $posts,
                $letters,
                $names + $staff,
                $tables,
            ),
            new ActualState(
                $this->rooms->there($round, $ask),
                $this->copies->there($round, $floor, $names, $wantedCopies, $copies),
                $postsThere,
                $lettersThere,
            ),
        );
    }
}
