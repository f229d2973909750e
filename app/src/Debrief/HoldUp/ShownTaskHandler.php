<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

/**
 * Tells everybody what is written in shown work.
 */
final readonly class ShownTaskHandler implements TaskHandler
{
    public const TELL = 'shownWork';

    public function __construct(private DebriefChanger $changer)
    {
    }

    public static function kinds(): array
    {
        return [self::TELL];
    }

    public function classOf(Task $task): ?string
    {
        return null;
    }

    public function handle(Task $task): ?int
    {
        $this->changer->tellAgain($task->subject);

        return null;
    }
}
