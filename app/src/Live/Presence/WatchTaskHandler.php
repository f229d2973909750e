<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Command\LessonCommandHandler;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Phase;

/**
 * Keeps an eye on a lesson: turns signs of life into changes of whereabouts, and asks the meeting service again in case
 * one of its callbacks was missed. The subject of a task is the lesson's id.
 */
final readonly class WatchTaskHandler implements TaskHandler
{
    public const WATCH = 'watch';
    public const ASK_SERVICE = 'askService';

    /** Milliseconds between two looks. */
    private const EVERY = 2_000;
    private const ASK_EVERY = 8_000;
    private const WHILE_QUIET = 30_000;
    /** Nobody watches a lesson in which nothing has stirred for so long. */
    private const QUIET_AFTER = 20 * 60_000;

    public function __construct(
        private NowReader $lessons,
        private RoomReader $rooms,
        private PresenceStore $presence,
        private WhereaboutsRecord $record,
        private RoomServices $services,
        private LessonCommandHandler $live,
        private Tasks $tasks,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::WATCH, self::ASK_SERVICE];
    }

    public function classOf(Task $task): ?string
    {
        return $this->lessons->forLesson($task->subject)?->classId;
    }

    public function handle(Task $task): ?int
    {
        $lesson = $this->lessons->forLesson($task->subject);
        if (null === $lesson) {
            return null;
        }
        if (null !== $lesson->endedAt) {
            return null;
        }
        if (null !== $lesson->kind && ($this->hasBeenLeft($lesson) || $this->isForgotten($lesson))) {
            $this->live->endByItself($lesson->lessonId);

            return null;
        }
        if (null !== $lesson->kind && !$lesson->current) {
            return $this->clock->ms() + self::EVERY;
        }
        if (self::ASK_SERVICE === $task->kind) {
            $this->askService($lesson);

            return $this->isQuiet($lesson) ? null : $this->clock->ms() + self::ASK_EVERY;
        }
        $seen = $task->data['seen'] ?? null;
        $this->tasks->keep($task, ['seen' => $this->record->follow($lesson, \is_string($seen) ? $seen : null)]);

        return $this->isQuiet($lesson) && null === $lesson->kind
            ? null
            : $this->clock->ms() + ($this->isQuiet($lesson) ? self::WHILE_QUIET : self::EVERY);
    }

    private function askService(LessonNow $lesson): void
    {
        $places = $this->rooms->made($lesson->classId);
        // Simulated students are in no room that a service knows of.
        if ([] === $places || $lesson->isPractice) {
            return;
        }
        $asked = $this->clock->ms();
        try {
            $there = $this->services->whoIsThere(array_map(strval(...), array_keys($places)));
        } catch (MeetingServiceFailed) {
            return; // it is asked again soon
        }
        foreach ($this->presence->ofClass($lesson->classId) as $student => $evidence) {
            if (($evidence->serviceAt ?? 0) >= $asked) {
                continue; // a callback overtook the answer
            }
            $seen = $there[$student] ?? null;
            if (null !== $seen) {
                if ($places[$seen['room']] !== $evidence->servicePlace) {
                    $this->presence->seenByService(
                        $student,
                        $seen['room'],
                        max($seen['since'], $evidence->serviceAt ?? 0),
                    );
                }
            } elseif (null !== $evidence->servicePlace) {
                $this->presence->seenByService($student, null, $asked);
            }
        }
    }

    private function isQuiet(LessonNow $lesson): bool
    {
        $last = max(
            $this->presence->lastSign($lesson->classId) ?? 0,
            $lesson->moments->outAt ?? 0,
            $lesson->since ?? 0,
            $lesson->watchedAt ?? 0,
        );

        return $last < $this->clock->ms() - self::QUIET_AFTER;
    }

    /**
     * The class has gone on in another lesson. While it still looks at groups there, that can be taken back.
     */
    private function hasBeenLeft(LessonNow $lesson): bool
    {
        return !$lesson->current
            && Phase::Looking !== $this->lessons->ofClass($lesson->classId)?->phase($this->clock->ms());
    }

    /**
     * Its time is over, and nobody has given a sign for long.
     */
    private function isForgotten(LessonNow $lesson): bool
    {
        return $this->isQuiet($lesson) && $this->clock->ms() > ($lesson->time->plannedEnd() ?? 0);
    }
}
