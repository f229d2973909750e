<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Lesson\Round\Round;
use Symfony\Component\Uid\Uuid;

/**
 * Keeps runs: when a round was sent out, and its groups, seats, names, numbers and roles as they were then. By hand:
 * some hundred seats are frozen in one statement, inside the transaction that holds the lesson.
 */
final readonly class RunStore
{
    /**
     * The seats of a run (`:run`) as they are on the floor now.
     */
    private const SEATS_NOW = "SELECT g.run_id, s.student_id, g.id AS run_group_id, t.name, s.number,
            COALESCE(r.role, '') AS role,
            COALESCE((SELECT string_agg(k.task, '; ' ORDER BY k.position) FROM seat_task k
                      JOIN seat_task_number n ON n.grouping_id = k.grouping_id AND n.position = k.position
                      WHERE k.grouping_id = s.grouping_id AND n.number = s.number), '') AS task
        FROM run_group g JOIN seat s ON s.group_id = g.group_id JOIN student t ON t.id = s.student_id
        LEFT JOIN seat_role r ON r.grouping_id = s.grouping_id AND r.number = s.number WHERE g.run_id = :run";

    public function __construct(private Connection $db)
    {
    }

    /**
     * A round is sent out: a run begins, and one that still went on in this lesson ends.
     *
     * @param int      $now      milliseconds since 1970
     * @param int      $outAt    when groups are to be at work
     * @param CameFrom $cameFrom where the class was before
     *
     * @return string the id of the run
     */
    public function begin(Round $round, int $now, int $outAt, CameFrom $cameFrom): string
    {
        $this->db->executeStatement('UPDATE run SET ended_at = ? WHERE lesson_id = ? AND ended_at IS NULL', [
            $now,
            $round->lesson->id,
        ]);
        $run = Uuid::v7()->toRfc4122();
        $this->db->executeStatement(
            'INSERT INTO run (id, lesson_id, round_id, grouping_id, attempt, out_at, taken_back,
                              came_from_lesson_id, came_from_segment_id, came_from_since)
             SELECT :run, :lesson, :round, :grouping, COALESCE(MAX(attempt), 0) + 1, :out, false, :from_lesson,
               :from_segment, :since
             FROM run WHERE round_id = :round',
            [
                'run' => $run,
                'lesson' => $round->lesson->id,
                'round' => $round->id,
                'grouping' => $round->grouping->id,
                'out' => $outAt,
                'from_lesson' => $cameFrom->lesson,
                'from_segment' => $cameFrom->segment,
                'since' => $cameFrom->since,
            ],
        );
        $this->db->executeStatement(
            'INSERT INTO run_group (id, run_id, group_id, position, name, last_name, mark)
             SELECT gen_random_uuid(), ?, id, position, name, name, mark FROM work_group WHERE grouping_id = ?
               AND position IS NOT NULL',
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
        $this->follow($run);

        return $run;
    }

    /**
     * The groups changed while the run goes on: its last seats are those of the floor. Groups that came about are
     * added, those that are gone stay without seats.
     */
    public function follow(string $runId): void
    {
        if (!$this->differs($runId)) {
            return; // a press waits for this
        }
        $this->db->executeStatement(
            'UPDATE run_group r SET last_name = g.name FROM work_group g WHERE r.run_id = ? AND g.id = r.group_id
                AND g.name <> r.last_name',
            [$runId],
        );
        $this->db->executeStatement(
            'INSERT INTO run_group (id, run_id, group_id, position, name, last_name, mark)
             SELECT gen_random_uuid(), u.id, g.id,
                    (SELECT MAX(position) FROM run_group
                      WHERE run_id = u.id) + ROW_NUMBER() OVER (ORDER BY g.position), g.name, g.name, g.mark
             FROM run u JOIN work_group g ON g.grouping_id = u.grouping_id AND g.position IS NOT NULL
             WHERE u.id = ? AND NOT EXISTS (SELECT 1 FROM run_group r WHERE r.run_id = u.id AND r.group_id = g.id)',
            [$runId],
        );
        $this->db->executeStatement('DELETE FROM run_last_seat WHERE run_id = ?', [$runId]);
        $this->db->executeStatement(
            'INSERT INTO run_last_seat (run_id, student_id, run_group_id, name, number, role, task) '.self::SEATS_NOW,
            ['run' => $runId],
        );
    }

    /**
     * Whether groups, their names or their seats are others on the floor than what is kept of the run.
     */
    private function differs(string $runId): bool
    {
        return true ===
            $this->db->fetchOne(
                'WITH now AS ('.self::SEATS_NOW.'), kept AS (
                    SELECT run_id, student_id, run_group_id, name, number, role, task FROM run_last_seat
                     WHERE run_id = :run)
                 SELECT EXISTS (TABLE now EXCEPT ALL TABLE kept) OR EXISTS (TABLE kept EXCEPT ALL TABLE now)
                     OR EXISTS (SELECT 1 FROM run u JOIN work_group g ON g.grouping_id = u.grouping_id
                          AND g.position IS NOT NULL
                        LEFT JOIN run_group r ON r.run_id = u.id AND r.group_id = g.id
                        WHERE u.id = :run AND (r.id IS NULL OR r.last_name <> g.name))',
                ['run' => $runId],
            );
    }

    /**
     * @param int $at when everybody is back; milliseconds since 1970
     */
    public function end(Round $round, int $at): void
    {
        $this->db->executeStatement('UPDATE run SET ended_at = ? WHERE round_id = ? AND ended_at IS NULL', [
            $at,
            $round->id,
        ]);
    }

    /**
     * The call back is off: the last run goes on.
     */
    public function goOn(Round $round): void
    {
        $this->db->executeStatement(
            'UPDATE run SET ended_at = NULL WHERE round_id = ? AND NOT taken_back AND attempt = (SELECT MAX(attempt)
                FROM run WHERE round_id = ?)',
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
        $this->db->executeStatement(
            'UPDATE run SET ended_at = ?, taken_back = true WHERE round_id = ? AND ended_at IS NULL',
            [$at, $round->id],
        );
    }
}
