<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

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
            throw $e->tryAgain($task, self::MOST_TRIES, 300);
        }

        return null;
    }
}
