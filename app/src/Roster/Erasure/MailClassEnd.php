<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Mail\Letter;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\ClassStaff;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Tells the staff of a class that its data ends: a letter each. The subject of a task is the class's id, or that and
 * the id of one of them.
 */
final readonly class MailClassEnd implements TaskHandler
{
    public const KIND = 'mailClassEnd';

    public function __construct(
        private EntityManagerInterface $em,
        private Letter $letter,
        private Tasks $tasks,
        #[Autowire('%env(PUBLIC_URL)%')]
        private string $publicUrl,
    ) {
    }

    public static function kinds(): array
    {
        return [self::KIND];
    }

    public function classOf(Task $task): string
    {
        return explode(' ', $task->subject)[0];
    }

    public function handle(Task $task): ?int
    {
        [$id, $teacherId] = explode(' ', $task->subject) + [1 => null];
        $class = $this->em->find(SchoolClass::class, $id);
        if (null === $class?->endsOn) {
            return null;
        }
        if (null === $teacherId) {
            $staff = $this->em->getRepository(ClassStaff::class)->findBy(['class' => $class]);
            $teachers = [
                $class->teacher->id,
                ...array_map(static fn (ClassStaff $one): string => $one->teacher->id, $staff),
            ];
            foreach (array_unique($teachers) as $one) {
                $this->tasks->scheduleOnce(self::KIND, "{$id} {$one}");
            }

            return null;
        }
        $teacher = $this->em->find(Teacher::class, $teacherId);
        if (null === $teacher) {
            return null;
        }
        $this->letter->send($task, $teacher->email, 'class_ends', [
            'class' => $class->name,
            'day' => $class->endsOn->getTimestamp(),
            'link' => "{$this->publicUrl}/classes/{$class->id}",
        ]);

        return null;
    }
}
