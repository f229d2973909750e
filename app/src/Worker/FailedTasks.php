<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Where work ends that failed for good: seen by the teacher, tried again by one press, repeated by nobody.
 */
final readonly class FailedTasks
{
    public function __construct(
        private EntityManagerInterface $em,
        private Tasks $tasks,
        private Clock $clock,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
    ) {
    }

    public function add(Task $task, ?string $classId, string $failure): void
    {
        $this->transaction->run(function () use ($task, $classId, $failure): void {
            $before = $this->em
                ->getRepository(FailedTask::class)
                ->findOneBy(['kind' => $task->kind, 'subject' => $task->subject]);
            if (null !== $before) {
                $this->em->remove($before);
                $this->em->flush();
            }
            $this->em->persist(
                new FailedTask(
                    Uuid::v7()->toRfc4122(),
                    $classId,
                    $task->kind,
                    $task->subject,
                    $task->data,
                    mb_substr($failure, 0, 200),
                    $this->clock->ms(),
                ),
            );
            $this->em->flush();
            $this->tasks->done($task);
        });
        if (null !== $classId) {
            $this->events->dispatch(new WorkFailed($classId));
        }
    }

    /**
     * @return list<FailedTaskView> of a class, the latest first
     */
    public function forClass(string $classId): array
    {
        return array_map(
            static fn (FailedTask $task): FailedTaskView => new FailedTaskView($task->id, $task->kind, $task->failure),
            array_values(
                $this->em->getRepository(FailedTask::class)->findBy(['classId' => $classId], ['id' => 'DESC']),
            ),
        );
    }

    /**
     * @return bool whether there was such a task
     */
    public function tryAgain(string $classId, string $id): bool
    {
        return $this->transaction->run(function () use ($classId, $id): bool {
            $task = $this->remove($classId, $id);
            if (null !== $task) {
                $this->tasks->schedule(
                    $task->kind,
                    $task->subject,
                    null,
                    array_filter($task->data, \is_string(...), \ARRAY_FILTER_USE_KEY),
                );
            }

            return null !== $task;
        });
    }

    /**
     * @return bool whether there was such a task
     */
    public function letBe(string $classId, string $id): bool
    {
        return $this->transaction->run(fn (): bool => null !== $this->remove($classId, $id));
    }

    private function remove(string $classId, string $id): ?FailedTask
    {
        $task = $this->em->getRepository(FailedTask::class)->findOneBy(['id' => $id, 'classId' => $classId]);
        if (null !== $task) {
            $this->em->remove($task);
        }

        return $task;
    }
}
