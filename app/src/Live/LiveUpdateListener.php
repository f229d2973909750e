<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Grouping\Floor\Seat;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoomTaskHandler;
use FreshHuddle\App\Roster\Event\ClassChanged;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\DeskHint;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\WorkFailed;
use FreshHuddle\Core\Grouping\Floor;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Tells open pages, rooms and the record of what earlier areas say has changed. They say it after the commit.
 */
final readonly class LiveUpdateListener
{
    /** Above so many students a hint goes to everybody; it says nothing but “look again”. */
    private const MANY = 20;

    public function __construct(
        private EntityManagerInterface $em,
        private LessonRepository $lessons,
        private RoomReader $rooms,
        private Stream $stream,
        private Tasks $tasks,
        private Clock $clock,
        private SeatRecord $record,
    ) {
    }

    /**
     * The class list changed: a name, somebody absent, somebody new.
     */
    #[AsEventListener]
    public function ofClass(ClassChanged $event): void
    {
        $class = $this->em->find(SchoolClass::class, $event->classId);
        $groupings = $this->em->getRepository(Grouping::class)->findBy(['class' => $class, 'removedAt' => null]);
        $this->stream->publish(
            array_map(Audience::staff(...), $this->lessons->idsOf($event->classId)),
            new LessonHint(),
        );
        $this->stream->publish(
            array_map(static fn (Grouping $grouping): Audience => Audience::desk($grouping->id), $groupings),
            new DeskHint(),
        );
        if (null !== $class?->currentLessonId) {
            $this->stream->publish([Audience::everybody($class->currentLessonId)], new RefreshHint());
        }
        $main = $this->rooms->mainSession($event->classId);
        if (null !== $main) {
            $this->tasks->schedule(RoomTaskHandler::MEMBERS, $main);
        }
    }

    /**
     * A student arrived, or their device was given up.
     */
    public function ofArrival(?string $lessonId): void
    {
        if (null !== $lessonId) {
            $this->tasks->scheduleOnce(WatchTaskHandler::WATCH, $lessonId);
            $this->tasks->scheduleOnce(WatchTaskHandler::ASK_SERVICE, $lessonId);
            $this->stream->publish([Audience::staff($lessonId)], new LessonHint());
        }
    }

    /**
     * A room of the class is made, failed, or has other members.
     */
    #[AsEventListener]
    public function ofRooms(RoomsChanged $event): void
    {
        $this->stream->publish(
            array_map(Audience::staff(...), $this->lessons->idsOf($event->classId)),
            new LessonHint(),
        );
        $current = $this->em->find(SchoolClass::class, $event->classId)?->currentLessonId;
        if (null !== $current) {
            $this->stream->publish(
                null === $event->groupId
                    ? [Audience::everybody($current)]
                    : array_map(
                        static fn (Seat $seat): Audience => Audience::student($seat->student->id),
                        $this->em->getRepository(Seat::class)->findBy(['group' => $event->groupId]),
                    ),
                new RefreshHint(),
            );
        }
    }

    /**
     * Something could not be done: the lesson's page shows it.
     */
    #[AsEventListener]
    public function ofFailure(WorkFailed $event): void
    {
        $this->stream->publish(
            array_map(Audience::staff(...), $this->lessons->idsOf($event->classId)),
            new LessonHint(),
        );
    }

    /**
     * Seats changed on a floor: rooms let other people in, students of the groups concerned hear of it, and where
     * groups are out it stands in the record.
     */
    #[AsEventListener]
    public function ofSeats(FloorChanged $event): void
    {
        [$groupingId, $before, $after] = [$event->groupingId, $event->before, $event->after];
        [$groups, $students] = self::concerned($before, $after);
        if ([] === $groups) {
            return;
        }
        $now = $this->clock->ms();
        $rounds = $this->lessons->roundsIn($groupingId);
        $isOut = [] !== array_filter($rounds, static fn (Round $round): bool => $round->state()->phase($now)->isOut());
        foreach ($this->rooms->ofGroups($groups) as $roomId) {
            // Whoever is moved while they are in a room is first let into the other one, and put out of this one after
            // that.
            $this->tasks->schedule(RoomTaskHandler::MEMBERS, $roomId, null, $isOut ? RoomTaskHandler::KEEP : []);
            if ($isOut) {
                $this->tasks->schedule(RoomTaskHandler::SHUT_OUT, $roomId, $now + RoomTaskHandler::TIME_TO_GO);
            }
        }
        $this->stream->publish([Audience::desk($groupingId)], new DeskHint());
        foreach ($rounds as $round) {
            // What a round was sent out with is its own as soon as everybody is back.
            if ($round->state()->phase($now)->isUnderWay()) {
                $this->record->seatsChanged($round, $event, $now, $students);
            }
            $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
            $this->tellSeats($round, $before, $after, $students);
        }
    }

    /**
     * Whoever is moved goes at once, while the others of both groups see it a little later.
     *
     * @param list<string> $students of the groups that changed
     */
    private function tellSeats(Round $round, Floor $before, Floor $after, array $students): void
    {
        if (\count($students) > self::MANY) {
            $this->stream->publish([Audience::everybody($round->lesson->id)], new RefreshHint());

            return;
        }
        $moves = static fn (string $one): bool => $before->groupOf($one)?->id !== $after->groupOf($one)?->id;
        $moved = array_filter($students, $moves);
        foreach ([[$moved, true], [array_diff($students, $moved), false]] as [$told, $now]) {
            $this->stream->publish(
                array_map(Audience::student(...), array_values($told)),
                new RefreshHint($now),
            );
        }
    }

    /**
     * @return array{list<string>, list<string>} ids of the groups that changed, and of everybody in them before or
     *     after
     */
    private static function concerned(Floor $before, Floor $after): array
    {
        $old = [];
        foreach ($before->groups as $group) {
            $old[$group->id] = $group;
        }
        $groups = $students = [];
        foreach ($after->groups as $group) {
            $was = $old[$group->id] ?? null;
            unset($old[$group->id]);
            if (null === $was || $was->students !== $group->students || $was->name !== $group->name) {
                $groups[] = $group->id;
                array_push($students, ...$group->students, ...$was->students ?? []);
            }
        }
        foreach ($old as $gone) {
            $groups[] = $gone->id;
            array_push($students, ...$gone->students);
        }

        return [$groups, array_values(array_unique($students))];
    }
}
