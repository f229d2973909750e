<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\History\OtherUse;
use FreshHuddle\App\Lesson\Order\RunningOrderView;
use FreshHuddle\App\Lesson\Round\RoundView;
use FreshHuddle\App\Live\Notice\SaidNotice;
use FreshHuddle\App\Live\Presence\SeatedStudent;
use FreshHuddle\App\Live\Signal\GroupSignalView;
use FreshHuddle\App\Live\Signal\NextVisitView;
use FreshHuddle\App\Live\Speech\SpeakingView;
use FreshHuddle\App\Live\Student\OtherLesson;
use FreshHuddle\App\Materials\HandOut\AloneWork;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\Plan\RowView;
use FreshHuddle\App\Ready\FindingView;
use FreshHuddle\App\Ready\SetUp\SetUpSummary;
use FreshHuddle\App\Ready\SetUp\SetUpView;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\App\Rooms\Run\RunRoomView;
use FreshHuddle\App\Roster\Door\Doorway\DoorwayView;
use FreshHuddle\App\Worker\FailedTaskView;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * A lesson as the teacher's screen needs it, at one moment.
 */
final readonly class LessonView
{
    /**
     * @param int|null              $startsAt   milliseconds since 1970; null for a template
     * @param bool                  $template   no lesson, but what lessons are begun from
     * @param bool                  $current    students of the class are taken to this lesson
     * @param int|null              $endedAt when it was over; places of students are then who was there. Milliseconds
     *     since 1970
     * @param int                   $serverNow  milliseconds since 1970, for the clock on the page
     * @param RoundView             $round the round that was asked for; floor, rooms, hand-out plan and copies are its
     *     own
     * @param RoundView             $roundNow   the round the lesson is in or comes to next
     * @param list<SeatedStudent>   $students   the class list
     * @param list<RoomView>        $rooms
     * @param SourceKind            $roomSource where new rooms come from
     * @param list<RowView>         $handOut    the hand-out plan
     * @param list<CopySummary>     $copies
     * @param list<FindingView>     $findings what is not in place before students are sent out, what stops first; none
     *     while they are out
     * @param SetUpSummary|null     $setUpList  what would be done to set it up; null while students are out
     * @param SetUpView|null        $setUp      the set-up list that is being carried out, or of which something failed
     * @param list<GroupSignalView> $signals how the groups that are out stand, in the order of the floor; none while
     *     nobody is out
     * @param list<NextVisitView>   $visits     whom to visit, the next first
     * @param list<SaidNotice>      $notices    newest first
     * @param list<DoorwayView>     $doorway    who waits to be let in
     * @param bool                  $shut       nobody who is not on the list can wait
     * @param list<FailedTaskView>  $failed     what could not be done
     * @param string                $classPage  the path of the page for the wall
     * @param string|null           $mixBy      what groups are mixed by in one press; null: there is nothing to mix by
     * @param string|null           $partners how many pairs are new to each other, where new partners are wanted, and
     *     why not all
     * @param bool                  $talkOnly   without worksheets
     * @param list<AloneWork>       $alone      worksheets of all segments in which everybody works alone
     * @param bool                  $locksAtEnd worksheets can only be read when it is over
     * @param bool                  $practice   its students are simulated, and nothing of it is real
     * @param SpeakingView          $speaking   who may speak in the main session
     * @param OtherLesson|null      $other      another lesson the class is in just now
     * @param list<RunRoomView>     $runRooms   of a lesson that is over: the rooms the groups of the round had
     * @param list<OtherUse>        $usedBy     other lessons with the same groups that are on or over
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $minutes,
        public ?int $startsAt,
        public bool $template,
        public string $classId,
        public string $className,
        public string $doorWord,
        public bool $current,
        public ?int $endedAt,
        public int $seq,
        public int $serverNow,
        public RunningOrderView $order,
        public RoundView $round,
        public RoundView $roundNow,
        public FloorView $floor,
        public array $students,
        public array $rooms,
        public SourceKind $roomSource,
        public array $handOut,
        public array $copies,
        public array $findings,
        public ?SetUpSummary $setUpList,
        public ?SetUpView $setUp,
        public array $signals,
        public array $visits,
        public array $notices,
        public array $doorway,
        public bool $shut,
        public array $failed,
        public string $classPage,
        public ?string $mixBy,
        public ?string $partners,
        public bool $talkOnly,
        public ?OtherLesson $other,
        public array $runRooms,
        public array $usedBy,
        public array $alone,
        public bool $locksAtEnd,
        public SpeakingView $speaking,
        public bool $practice = false,
    ) {
    }
}
