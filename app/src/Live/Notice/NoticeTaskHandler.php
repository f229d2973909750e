<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Notice;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Live\Command\LessonCommandHandler;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

/**
 * Says prepared notices at their time (the subject is the notice's id), and tells staff, once for many, that notices
 * have been seen (the subject is the lesson's id).
 */
final readonly class NoticeTaskHandler implements TaskHandler
{
    public const PREPARED = 'preparedNotice';
    public const SEEN = 'noticesSeen';

    public function __construct(
        private EntityManagerInterface $em,
        private LessonCommandHandler $live,
        private Stream $stream,
    ) {
    }

    public static function kinds(): array
    {
        return [self::PREPARED, self::SEEN];
    }

    public function classOf(Task $task): ?string
    {
        return self::SEEN === $task->kind
            ? null
            : $this->em->find(PreparedNotice::class, $task->subject)?->round->lesson->class->id;
    }

    public function handle(Task $task): ?int
    {
        if (self::SEEN === $task->kind) {
            $this->stream->publish([Audience::staff($task->subject)], new LessonHint());

            return null;
        }
        $notice = $this->em->find(PreparedNotice::class, $task->subject);
        if (null !== $notice) {
            $this->live->sayPrepared($notice);
        }

        return null;
    }
}
