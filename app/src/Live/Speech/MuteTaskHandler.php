<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\TryAgain;

/**
 * Tells the media server who may speak in a main session.
 */
final readonly class MuteTaskHandler implements TaskHandler
{
    /** The subject is the lesson's id. */
    public const MUTE = 'muteRoom';

    /** A media server that is away has nobody in a room. */
    private const MOST_TRIES = 6;

    public function __construct(private EntityManagerInterface $em, private Speakers $speakers)
    {
    }

    public static function kinds(): array
    {
        return [self::MUTE];
    }

    public function classOf(Task $task): ?string
    {
        return $this->em->find(Lesson::class, $task->subject)?->class->id;
    }

    public function handle(Task $task): ?int
    {
        $lesson = $this->em->find(Lesson::class, $task->subject);
        try {
            if (null !== $lesson) {
                $this->speakers->enforce($lesson);
            }
        } catch (MeetingServiceFailed $e) {
            throw $task->attempts < self::MOST_TRIES
                ? new TryAgain($e->says, 300 * 2 ** $task->attempts)
                : new GaveUp($e->says);
        }

        return null;
    }
}
