<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Grouping;

/**
 * Keeps what the numbers of a grouping's seats carry.
 */
final readonly class Numbers
{
    public function __construct(private EntityManagerInterface $em, private Transaction $transaction)
    {
    }

    /**
     * @return NumberPlan roles by number, tasks in their order
     */
    public function forGrouping(Grouping $grouping): NumberPlan
    {
        $numbers = [];
        foreach ($this->taskNumbers($grouping) as $given) {
            $numbers[$given->position][] = $given->number;
        }

        return new NumberPlan(
            array_map(
                static fn (StoredSeatRole $given): SeatRole => new SeatRole($given->number, $given->role),
                $this->roles($grouping),
            ),
            array_map(
                static fn (StoredSeatTask $given): SeatTask => new SeatTask(
                    $numbers[$given->position] ?? [],
                    $given->task,
                ),
                $this->tasks($grouping),
            ),
        );
    }

    /**
     * In place of what they carried before.
     */
    public function keep(Grouping $grouping, NumberPlan $plan): void
    {
        $this->transaction->run(function () use ($grouping, $plan): void {
            $this->em->lock($grouping, LockMode::PESSIMISTIC_WRITE); // of two at once the later stands, whole
            foreach (
                [...$this->roles($grouping), ...$this->tasks($grouping), ...$this->taskNumbers($grouping)] as $before
            ) {
                $this->em->remove($before);
            }
            $this->em->flush();
            foreach ($plan->roles() as $number => $role) {
                $this->em->persist(new StoredSeatRole($grouping, $number, $role));
            }
            foreach ($plan->tasks as $i => $task) {
                $this->em->persist(new StoredSeatTask($grouping, $i + 1, $task->task));
                foreach (array_unique($task->numbers) as $number) {
                    $this->em->persist(new SeatTaskNumber($grouping, $i + 1, $number));
                }
            }
            $this->em->flush();
        });
    }

    /**
     * @return list<StoredSeatRole>
     */
    private function roles(Grouping $grouping): array
    {
        return $this->em->getRepository(StoredSeatRole::class)->findBy(['grouping' => $grouping], ['number' => 'ASC']);
    }

    /**
     * @return list<SeatTaskNumber>
     */
    private function taskNumbers(Grouping $grouping): array
    {
        return $this->em
            ->getRepository(SeatTaskNumber::class)
            ->findBy(['grouping' => $grouping], ['position' => 'ASC', 'number' => 'ASC']);
    }

    /**
     * @return list<StoredSeatTask>
     */
    private function tasks(Grouping $grouping): array
    {
        return $this->em->getRepository(StoredSeatTask::class)->findBy(['grouping' => $grouping], ['position' => 'ASC']);
    }
}
