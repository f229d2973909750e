<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Does the tasks of some kinds.
 */
#[AutoconfigureTag]
interface TaskHandler
{
    /**
     * @return list<string>
     */
    public static function kinds(): array;

    /**
     * May be called twice for the same task: a worker can die after the work and before saying so.
     *
     * @return int|null when to come again, in milliseconds since 1970; null: done
     *
     * @throws TryAgain if it should be tried once more
     * @throws GaveUp   if that is of no use
     */
    public function handle(Task $task): ?int;

    /**
     * @return string|null the class whose teacher is to hear if it fails for good; null: it concerns none
     */
    public function classOf(Task $task): ?string;
}
