<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * A lesson at one moment: what all panels of its page begin with.
 */
final readonly class LessonMoment
{
    /**
     * @param int                        $now       milliseconds since 1970
     * @param Round                      $round     the round that was asked for
     * @param Round                      $roundNow  the round the lesson is in or comes to next
     * @param bool                       $isOver of a lesson that is over the runs are shown, and nothing of what its
     *     groups have become since
     * @param list<StudentView>          $everybody the class list
     * @param list<StudentView>          $students  who takes part, or took part
     * @param array<string, Whereabouts> $where     by student
     * @param Moves                      $moves     of the round that is now
     * @param Floor                      $floor     of the round that was asked for
     * @param list<RoomView>             $rooms     of that round; none of a lesson that is over
     */
    public function __construct(
        public Lesson $lesson,
        public int $now,
        public Round $round,
        public Round $roundNow,
        public bool $isOver,
        public array $everybody,
        public array $students,
        public array $where,
        public Moves $moves,
        public Floor $floor,
        public array $rooms,
    ) {
    }

    public function phase(): Phase
    {
        return $this->round->state()->phase($this->now);
    }

    public function isOutNow(): bool
    {
        return $this->roundNow->state()->phase($this->now)->isUnderWay();
    }
}
