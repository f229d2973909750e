<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Log;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Live\Notice\NoticeStore;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What has happened in a lesson, newest first.
 */
#[Route('/api/staff/lessons/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class LogController
{
    public function __construct(private LessonAccess $access, private LessonLog $log, private NoticeStore $notices)
    {
    }

    /**
     * Lists what happened in a lesson.
     *
     * @return list<LogEntry> the latest 500, newest first
     */
    #[Route('/log', methods: ['GET'])]
    public function log(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->log->forLesson($this->access->lesson($teacher, $id));
    }

    /**
     * Says who has seen a message.
     *
     * @return list<string> ids of the students who have seen a notice
     */
    #[Route('/notices/{seq}', requirements: ['seq' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function whoSaw(#[CurrentUser] Teacher $teacher, string $id, int $seq): array
    {
        return $this->notices->whoSaw($this->access->lesson($teacher, $id)->id, $seq);
    }
}
