<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\LessonTime;

/**
 * Students who come shortly before a lesson come into that one, and not into the one that is over. The subject of a
 * task is the lesson's id.
 */
final readonly class DoorsOpenHandler implements TaskHandler
{
    private const DOORS_OPEN = 'doorsOpen';
    /** Milliseconds until it is looked again whether the lesson before is over. */
    private const WAIT = 20_000;

    public function __construct(private EntityManagerInterface $em, private Clock $clock, private Stream $stream)
    {
    }

    public static function kinds(): array
    {
        return [self::DOORS_OPEN];
    }

    /**
     * Plans when the doors of a lesson open.
     */
    public static function schedule(Tasks $tasks, Lesson $lesson): void
    {
        if (null !== $lesson->startsAt) {
            $tasks->schedule(self::DOORS_OPEN, $lesson->id, (int) $lesson->startsAt->format('Uv') - LessonTime::EARLY);
        }
    }

    public function classOf(Task $task): ?string
    {
        return $this->em->find(Lesson::class, $task->subject)?->class->id;
    }

    public function handle(Task $task): ?int
    {
        $lesson = $this->em->find(Lesson::class, $task->subject);
        $startsAt = null === $lesson?->startsAt ? null : (int) $lesson->startsAt->format('Uv');
        $now = $this->clock->ms();
        $isWaitedFor =
            null !== $lesson
            && null !== $startsAt
            && null === $lesson->removedAt
            && null === $lesson->endedAt
            && null === $lesson->segment
            && $lesson->class->currentLessonId !== $lesson->id
            && $now < $startsAt + 60_000 * $lesson->minutes;
        if (!$isWaitedFor) {
            return null;
        }
        $before =
            null === $lesson->class->currentLessonId
                ? null
                : $this->em->find(Lesson::class, $lesson->class->currentLessonId);
        if (null !== $before && self::isStillAwaited($before, $startsAt, $now)) {
            return $now + self::WAIT;
        }
        $lesson->class->currentLessonId = $lesson->id;
        $this->em->flush();
        $this->stream->publish([Audience::schoolClass($lesson->class->id)], new RefreshHint());

        return null;
    }

    /**
     * Whether the lesson the class is in is on, or comes first.
     */
    private static function isStillAwaited(Lesson $before, int $startsAt, int $now): bool
    {
        if (null !== $before->endedAt || null !== $before->removedAt) {
            return false;
        }
        if (null !== $before->segment) {
            return true;
        }
        $begins = null === $before->startsAt ? null : (int) $before->startsAt->format('Uv');

        return null !== $begins && $begins <= $startsAt && $now < $begins + 60_000 * $before->minutes;
    }
}
