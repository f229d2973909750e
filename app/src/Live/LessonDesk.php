<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\FloorView;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\Materials;
use FreshHuddle\App\Rooms\Rooms;
use FreshHuddle\App\Roster\ClassViews;
use FreshHuddle\App\Roster\Door\Doorway;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\FailedTasks;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Lessons: made, changed, and read for the screen.
 */
final readonly class LessonDesk
{
    public function __construct(
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private Clock $lessonClock,
        private FloorStore $floors,
        private ClassViews $classes,
        private WhereaboutsReader $whereabouts,
        private Rooms $rooms,
        private Materials $materials,
        private EventLog $events,
        private Stream $stream,
        private Doorway $doorway,
        private FailedTasks $failed,
    ) {
    }

    public function create(SchoolClass $class, string $title, int $minutes): Round
    {
        return $this->em->wrapInTransaction(function () use ($class, $title, $minutes): Round {
            $lesson = new Lesson(Uuid::v7()->toRfc4122(), $class, trim($title), $minutes, $this->clock->now());
            $grouping = new Grouping(Uuid::v7()->toRfc4122(), $class, mb_substr(trim($title), 0, 80));
            $round = new Round(Uuid::v7()->toRfc4122(), $lesson, $grouping);
            $round->minutes = max(1, min($minutes, (int) round($minutes / 2)));
            $class->currentLessonId ??= $lesson->id;
            array_map($this->em->persist(...), [$lesson, $grouping, $round]);
            $this->em->flush();
            $this->floors->create($grouping->id);

            return $round;
        });
    }

    public function edit(Lesson $lesson, EditLesson $edit): void
    {
        $this->em->wrapInTransaction(function () use ($lesson, $edit): void {
            $lesson->title = trim($edit->title ?? $lesson->title);
            $lesson->minutes = $edit->minutes ?? $lesson->minutes;
            $round = $this->roundOf($lesson);
            if (null !== $edit->groupingId) {
                $this->useGrouping($round, $edit->groupingId);
            }
            $round->instructions = $edit->instructions ?? $round->instructions;
            $round->minutes = $edit->roundMinutes ?? $round->minutes;
            $round->lookSeconds = $edit->lookSeconds ?? $round->lookSeconds;
            $round->callBackSeconds = $edit->callBackSeconds ?? $round->callBackSeconds;
            $round->autoCallBack = $edit->autoCallBack ?? $round->autoCallBack;
        });
        $this->stream->publish([Audience::everybody($lesson->id)], ['kind' => 'refresh']);
    }

    /**
     * @throws Problem 422 if it is no grouping of the class; 409 while groups are out
     */
    private function useGrouping(Round $round, string $groupingId): void
    {
        $grouping = $this->em->find(Grouping::class, $groupingId, LockMode::PESSIMISTIC_WRITE); // who removes it holds it too
        if (null === $grouping || $grouping->class !== $round->lesson->class || null !== $grouping->removedAt) {
            throw new Problem(422, 'This grouping is not one of the class.', 'groupingId');
        }
        if ($grouping->id !== $round->grouping->id && Moments::read($round->moments)->phase($this->lessonClock->ms())->isOut()) {
            throw new Problem(409, 'Groups are at work. Call everybody back first, then choose another grouping.', 'groupingId');
        }
        $round->grouping = $grouping;
    }

    /**
     * From now on students of the class are taken to this lesson.
     */
    public function makeCurrent(Lesson $lesson): void
    {
        $was = $lesson->class->currentLessonId;
        $lesson->class->currentLessonId = $lesson->id;
        $this->em->flush();
        if (null !== $was) {
            $this->stream->publish([Audience::schoolClass($lesson->class->id)], ['kind' => 'refresh']);
        }
    }

    /**
     * Staff look at the lesson: it is on.
     */
    public function watched(Lesson $lesson): void
    {
        $now = $this->clock->now();
        if (null === $lesson->watchedAt || $lesson->watchedAt < $now->modify('-1 minute')) {
            $lesson->watchedAt = $now;
            $this->em->flush();
        }
    }

    public function roundOf(Lesson $lesson): Round
    {
        $round = $this->em->getRepository(Round::class)->findOneBy(['lesson' => $lesson], ['number' => 'ASC']);
        \assert(null !== $round, 'A lesson is made with its round.');

        return $round;
    }

    public function view(Lesson $lesson): LessonView
    {
        $round = $this->roundOf($lesson);
        $class = $lesson->class;
        $students = array_values(array_filter($this->classes->students($class->id), static fn (StudentView $student): bool => $student->seatable));
        $floor = $this->floors->now($round->grouping->id);
        $now = $this->lessonClock->ms();
        $where = $this->whereabouts->of($class->id, $students, $floor, Moments::read($round->moments), $now);
        $onList = array_map(static fn (StudentView $student): string => $student->id, $students);

        return new LessonView(
            $lesson->id,
            $lesson->title,
            $lesson->minutes,
            $class->id,
            $class->name,
            $class->code,
            $class->currentLessonId === $lesson->id,
            $lesson->eventSeq,
            $now,
            RoundView::of($round),
            FloorView::of($round->grouping->id, $round->grouping->name, $this->floors->steps($round->grouping->id), $floor, $onList),
            array_map(static fn (StudentView $student): SeatedStudent => new SeatedStudent(
                $student->id,
                $student->name,
                $student->absent,
                $student->claimed,
                $where[$student->id]->place,
                $where[$student->id]->because,
                $where[$student->id]->at,
            ), $students),
            $this->rooms->ofRound($round->grouping->id, $class->id, $floor),
            $this->materials->original($round->id),
            $this->materials->summaries($round->id),
            $this->events->notices($lesson->id),
            $this->doorway->of($class->id),
            $this->failed->of($class->id),
        );
    }
}
