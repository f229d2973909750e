<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

/**
 * Checks rooms of our own as soon as something changes who belongs where.
 */
final readonly class RoomGuardTaskHandler implements TaskHandler
{
    /** The subject is the class's id. */
    public const CHECK = 'guardRooms';
    /** The subject is the student's id. */
    public const REMOVE = 'removeFromRooms';

    /** A media server that is away has nobody in a room. */
    private const MOST_TRIES = 6;

    public function __construct(private EntityManagerInterface $em, private RoomGuard $guard)
    {
    }

    public static function kinds(): array
    {
        return [self::CHECK, self::REMOVE];
    }

    public function classOf(Task $task): ?string
    {
        return self::CHECK === $task->kind ? $task->subject : $this->student($task)?->class->id;
    }

    public function handle(Task $task): ?int
    {
        $student = self::REMOVE === $task->kind ? $this->student($task) : null;
        try {
            self::CHECK === $task->kind
                ? $this->guard->check($task->subject)
                : (null === $student ? null : $this->guard->removeStudent($student));
        } catch (MeetingServiceFailed $e) {
            throw $e->tryAgain($task, self::MOST_TRIES, 300);
        }

        return null;
    }

    private function student(Task $task): ?Student
    {
        return $this->em->find(Student::class, $task->subject);
    }
}
