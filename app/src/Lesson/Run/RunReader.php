<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;

/**
 * What runs keep of the lessons they were in. By hand: groups with all their seats in one round trip.
 */
final readonly class RunReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return string|null the last run of a round that was not taken back; null: it was never sent out
     */
    public function lastRun(string $roundId): ?string
    {
        $run = $this->db->fetchOne(
            'SELECT id FROM run WHERE round_id = ? AND NOT taken_back ORDER BY attempt DESC LIMIT 1',
            [$roundId],
        );

        return \is_string($run) ? $run : null;
    }

    /**
     * Groups as they were when the last run of a round ended, or as they are while it goes on.
     *
     * @return Floor without groups if the round was never sent out
     */
    public function floor(string $roundId): Floor
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                'SELECT COALESCE(g.group_id, g.id) AS id, g.last_name AS name, g.mark, s.student_id
             FROM run_group g LEFT JOIN run_last_seat s ON s.run_group_id = g.id
             WHERE g.run_id = (SELECT id FROM run WHERE round_id = ? AND NOT taken_back ORDER BY attempt DESC LIMIT 1)
             ORDER BY g.position, s.number',
                [$roundId],
            ),
        );
        $groups = $students = [];
        foreach ($rows as $row) {
            $groups[$row->text('id')] ??= new Group($row->text('id'), $row->text('name'), [], $row->int('mark'));
            $student = $row->textOrNull('student_id');
            if (null !== $student) {
                $students[$row->text('id')][] = $student;
            }
        }

        return new Floor(
            array_values(
                array_map(static fn (Group $group): Group => $group->seating($students[$group->id] ?? []), $groups),
            ),
        );
    }

    /**
     * @return array<string, string> names of everybody who sat in a group of the lesson, by student, as they were
     *     called then
     */
    public function names(string $lessonId): array
    {
        $names = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT DISTINCT ON (s.student_id) s.student_id, s.name FROM run_last_seat s
                        JOIN run u ON u.id = s.run_id
             WHERE u.lesson_id = ? AND NOT u.taken_back ORDER BY s.student_id, u.out_at DESC',
                    [$lessonId],
                ),
            ) as $row
        ) {
            $names[$row->text('student_id')] = $row->text('name');
        }

        return $names;
    }

    /**
     * Where the class was before the last time a round was sent out.
     */
    public function cameFrom(string $roundId): ?CameFrom
    {
        $row = $this->db->fetchAssociative(
            'SELECT came_from_lesson_id AS lesson, came_from_segment_id AS segment, came_from_since AS since FROM run
                WHERE round_id = ? ORDER BY attempt DESC LIMIT 1',
            [$roundId],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new CameFrom($row->textOrNull('lesson'), $row->textOrNull('segment'), $row->intOrNull('since'));
    }
}
