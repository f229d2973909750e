<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

/**
 * Tells everybody what has been written or answered meanwhile.
 */
final readonly class TellTaskHandler implements TaskHandler
{
    /** In shown work. */
    public const SHOWN = 'shownWork';
    /** To a quick question. */
    public const ANSWERS = 'quickAnswers';

    public function __construct(private DebriefChanger $changer)
    {
    }

    public static function kinds(): array
    {
        return [self::SHOWN, self::ANSWERS];
    }

    public function classOf(Task $task): ?string
    {
        return null;
    }

    public function handle(Task $task): ?int
    {
        $this->changer->tellAgain($task->subject, self::ANSWERS === $task->kind);

        return null;
    }
}
