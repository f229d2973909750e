<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * What a seat's number carries: a role for one seat, a task for some.
 */
final readonly class NumberPlan
{
    /**
     * @param list<SeatRole> $roles
     * @param list<SeatTask> $tasks
     */
    public function __construct(
        #[Assert\Valid, Assert\Count(max: 20)]
        public array $roles = [],
        #[Assert\Valid, Assert\Count(max: 20)]
        public array $tasks = [],
    ) {
    }

    /**
     * Whether any number carries something.
     */
    public function areGiven(): bool
    {
        return [] !== $this->roles || [] !== $this->tasks;
    }

    public function roleOf(int $number): string
    {
        foreach ($this->roles as $role) {
            if ($role->number === $number) {
                return $role->role;
            }
        }

        return '';
    }

    public function taskOf(int $number): string
    {
        return implode(
            '; ',
            array_map(
                static fn (SeatTask $task): string => $task->task,
                array_filter(
                    $this->tasks,
                    static fn (SeatTask $task): bool => \in_array($number, $task->numbers, true),
                ),
            ),
        );
    }

    /**
     * @return array<int, string> number => role
     */
    public function roles(): array
    {
        $roles = [];
        foreach ($this->roles as $role) {
            $roles[$role->number] = $role->role;
        }

        return $roles;
    }
}
