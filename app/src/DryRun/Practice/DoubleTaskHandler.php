<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

/**
 * Lets go of the doubles of classes in which something was erased.
 */
final readonly class DoubleTaskHandler implements TaskHandler
{
    /** The subject is the double's id. */
    public const ERASE = 'erasePractice';

    public function __construct(private Practices $practices)
    {
    }

    public static function kinds(): array
    {
        return [self::ERASE];
    }

    public function classOf(Task $task): ?string
    {
        return null;
    }

    public function handle(Task $task): ?int
    {
        $this->practices->eraseDouble($task->subject);

        return null;
    }
}
