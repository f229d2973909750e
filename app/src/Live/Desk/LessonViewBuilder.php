<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Round\RoundView;
use FreshHuddle\App\Live\ClassPage\ClassPageAccess;
use FreshHuddle\App\Live\Speech\Speakers;
use FreshHuddle\App\Materials\HandOut\AloneReader;
use FreshHuddle\App\Ready\RoundPartsReader;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\Column\AttributeView;

/**
 * A lesson as the teacher's screen needs it, put together from its panels.
 */
final readonly class LessonViewBuilder
{
    public function __construct(
        private LessonMoments $moments,
        private FloorPanel $floor,
        private ReadyPanel $ready,
        private LivePanel $live,
        private RoomSources $roomSources,
        private RunningOrders $orders,
        private RoundPartsReader $parts,
        private AloneReader $alone,
        private SignedAddress $address,
        private Speakers $speakers,
    ) {
    }

    /**
     * How the groups of a round stand, and nothing else of its lesson.
     */
    public function signals(Round $round): SignalsView
    {
        $at = $this->moments->forLesson($round->lesson, $round->segment->id);

        // A round that has been taken out of the running order is out nowhere.
        return $at->round === $round
            ? $this->live->signals($at)
            : new SignalsView($round->lesson->eventSeq, [], []);
    }

    /**
     * @param string|null $segmentId whose round to show; null, or one that is done in no groups: the one the lesson is
     *     in or comes to next
     */
    public function view(Lesson $lesson, ?string $segmentId = null): LessonView
    {
        $at = $this->moments->forLesson($lesson, $segmentId);
        $class = $lesson->class;
        $order = $this->orders->view($lesson);
        $parts = $this->parts->read($at->round, $at->floor, $at->rooms);
        [$findings, $setUpList, $setUp] = $this->ready->build($at, $parts, $order);
        [$groups, $visits] = $this->live->groups($at);

        return new LessonView(
            $lesson->id,
            $lesson->title,
            $lesson->minutes,
            null === $lesson->startsAt ? null : (int) $lesson->startsAt->format('Uv'),
            $lesson->template,
            $class->id,
            $class->name,
            $class->doorWord,
            $class->currentLessonId === $lesson->id,
            $lesson->endedAt,
            $lesson->eventSeq,
            $at->now,
            $order,
            RoundView::fromRound($at->round),
            RoundView::fromRound($at->roundNow),
            $this->floor->floor($at),
            $this->floor->students($at),
            $at->rooms,
            $this->roomSources->forClass($class)->kind,
            $parts->rows,
            $parts->copies,
            $findings,
            $setUpList,
            $setUp,
            $groups,
            $visits,
            $this->live->notices($at),
            $this->live->doorway($at),
            !$at->isOver && $class->strangersOut(new \DateTimeImmutable('@'.intdiv($at->now, 1_000))),
            $this->live->failed($at),
            '/class-page/'.$this->address->create(ClassPageAccess::WHAT, $lesson->id, $lesson->classPageNumber),
            $at->isOver ? null : AttributeView::toMixBy($at->students),
            $this->floor->partners($at),
            $lesson->talkOnly,
            $this->live->other($at),
            $this->floor->runRooms($at),
            $this->floor->usedBy($at),
            $this->alone->forLesson($lesson),
            $lesson->locksAtEnd,
            $this->speakers->view($lesson),
            $class->isPractice,
        );
    }
}
