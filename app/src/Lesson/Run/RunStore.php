<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Lesson\Round;
use Symfony\Component\Uid\Uuid;

/**
 * Keeps runs: when a round was sent out, and its groups, seats, names, numbers and roles as they were then. By hand: some
 * hundred seats are frozen in one statement, inside the transaction that holds the lesson.
 */
final readonly class RunStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * A round is sent out: a run begins, and one that still went on in this lesson ends.
     *
     * @param int $now   milliseconds since 1970
     * @param int $outAt when groups are to be at work
     */
    public function begin(Round $round, int $now, int $outAt): void
    {
        $this->db->executeStatement('UPDATE run SET ended_at = ? WHERE lesson_id = ? AND ended_at IS NULL', [$now, $round->lesson->id]);
        $run = Uuid::v7()->toRfc4122();
        $this->db->executeStatement(
            'INSERT INTO run (id, lesson_id, round_id, grouping_id, attempt, out_at, taken_back)
             SELECT :run, :lesson, :round, :grouping, COALESCE(MAX(attempt), 0) + 1, :out, false FROM run WHERE round_id = :round',
            ['run' => $run, 'lesson' => $round->lesson->id, 'round' => $round->id, 'grouping' => $round->grouping->id, 'out' => $outAt],
        );
        $this->db->executeStatement(
            'INSERT INTO run_group (id, run_id, group_id, position, name, mark)
             SELECT gen_random_uuid(), ?, id, position, name, mark FROM work_group WHERE grouping_id = ? AND position IS NOT NULL',
            [$run, $round->grouping->id],
        );
        $this->db->executeStatement(
            "INSERT INTO run_seat (run_id, student_id, run_group_id, name, number, role)
             SELECT g.run_id, s.student_id, g.id, t.name, s.number, COALESCE(r.role, '')
             FROM run_group g JOIN seat s ON s.group_id = g.group_id JOIN student t ON t.id = s.student_id
             LEFT JOIN seat_role r ON r.grouping_id = s.grouping_id AND r.number = s.number
             WHERE g.run_id = ? AND t.removed_at IS NULL AND NOT t.absent",
            [$run],
        );
    }

    /**
     * @param int $at when everybody is back; milliseconds since 1970
     */
    public function end(Round $round, int $at): void
    {
        $this->db->executeStatement('UPDATE run SET ended_at = ? WHERE round_id = ? AND ended_at IS NULL', [$at, $round->id]);
    }

    /**
     * The call back is off: the last run goes on.
     */
    public function goOn(Round $round): void
    {
        $this->db->executeStatement(
            'UPDATE run SET ended_at = NULL WHERE round_id = ? AND NOT taken_back AND attempt = (SELECT MAX(attempt) FROM run WHERE round_id = ?)',
            [$round->id, $round->id],
        );
    }

    /**
     * Taken back while students were still looking.
     *
     * @param int $at milliseconds since 1970
     */
    public function takeBack(Round $round, int $at): void
    {
        $this->db->executeStatement('UPDATE run SET ended_at = ?, taken_back = true WHERE round_id = ? AND ended_at IS NULL', [$at, $round->id]);
    }
}
