<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Notice;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\EventKind;

/**
 * Who has seen which notice. By hand: a whole class says so within a second, and once each.
 */
final readonly class NoticeStore
{
    /** Staff hear of many at once. Milliseconds. */
    private const TOGETHER = 1_000;

    public function __construct(private Connection $db, private Tasks $tasks, private Clock $clock)
    {
    }

    /**
     * A student has seen a notice. Nothing happens where it was not for them.
     */
    public function seen(string $lessonId, int $seq, string $studentId): void
    {
        $isNew = $this->db->executeStatement(
            'INSERT INTO notice_seen (lesson_id, seq, student_id, at)
             SELECT e.lesson_id, e.seq, :student, :now FROM live_event e WHERE e.lesson_id = :lesson AND e.seq = :seq
               AND e.kind = :kind AND '.EventStore::IS_FOR.' ON CONFLICT DO NOTHING',
            [
                'lesson' => $lessonId,
                'seq' => $seq,
                'student' => $studentId,
                'kind' => EventKind::NoticeSaid->value,
                'now' => $this->clock->ms(),
            ],
        );
        if (0 < $isNew) {
            $this->tasks->scheduleOnce(NoticeTaskHandler::SEEN, $lessonId, $this->clock->ms() + self::TOGETHER);
        }
    }

    /**
     * @return list<string> ids of the students who have seen a notice
     */
    public function whoSaw(string $lessonId, int $seq): array
    {
        return array_values(
            array_filter(
                $this->db->fetchFirstColumn('SELECT student_id FROM notice_seen WHERE lesson_id = ? AND seq = ?', [
                    $lessonId,
                    $seq,
                ]),
                \is_string(...),
            ),
        );
    }
}
