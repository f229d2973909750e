<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;

/**
 * Keeps floors: groups and seats as rows, and every state the floor has been in as a snapshot for undo. By hand: one
 * press changes up to some hundred seats, in one statement each for groups and seats, under constraints that are
 * checked at the end; an ORM would change them one by one in an order that the constraints refuse.
 */
final readonly class FloorStore
{
    /** Older floors are let go. */
    private const STEPS_KEPT = 100;

    public function __construct(private Connection $db, private Transaction $transaction)
    {
    }

    public function create(string $groupingId): void
    {
        $this->db->insert('floor_step', [
            'grouping_id' => $groupingId,
            'number' => 0,
            'what' => '',
            'floor' => FloorJson::write(new Floor()),
        ]);
    }

    public function now(string $groupingId): Floor
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                'SELECT g.id, g.name, g.mark, s.student_id, s.fixed FROM work_group g
                    LEFT JOIN seat s ON s.group_id = g.id
             WHERE g.grouping_id = ? AND g.position IS NOT NULL ORDER BY g.position, s.number',
                [$groupingId],
            ),
        );
        $groups = $students = $fixed = [];
        foreach ($rows as $row) {
            $groups[$row->text('id')] ??= new Group($row->text('id'), $row->text('name'), [], $row->int('mark'));
            $student = $row->textOrNull('student_id');
            if (null !== $student) {
                $students[$row->text('id')][] = $student;
                if ($row->bool('fixed')) {
                    $fixed[] = $student;
                }
            }
        }

        return new Floor(
            array_values(
                array_map(static fn (Group $group): Group => $group->seating($students[$group->id] ?? []), $groups),
            ),
            $fixed,
        );
    }

    /**
     * @return array{step: int, undo: string|null, redo: string|null} what can be undone and redone
     */
    public function steps(string $groupingId): array
    {
        $row = $this->db->fetchAssociative(
            'SELECT g.step, now.what AS undo, next.what AS redo, before.number AS before FROM grouping g
             JOIN floor_step now ON now.grouping_id = g.id AND now.number = g.step
             LEFT JOIN floor_step before ON before.grouping_id = g.id AND before.number = g.step - 1
             LEFT JOIN floor_step next ON next.grouping_id = g.id AND next.number = g.step + 1 WHERE g.id = ?',
            [$groupingId],
        );
        $row = new Row(false === $row ? throw GroupingRefused::missing() : $row);

        return [
            'step' => $row->int('step'),
            'undo' => null === $row->intOrNull('before') ? null : $row->text('undo'),
            'redo' => $row->textOrNull('redo'),
        ];
    }

    /**
     * Changes a floor in one transaction, on the step the change was meant for.
     *
     * @param string                 $what   a word for what is done: deal, seat, swap, …
     * @param callable(Floor): Floor $change
     *
     * @return array{Floor, Floor} before and after
     *
     * @throws GroupingRefused if the floor is not the one the change was meant for
     */
    public function change(string $groupingId, int $basedOn, string $what, callable $change): array
    {
        return $this->transaction->run(function () use ($groupingId, $basedOn, $what, $change): array {
            $before = $this->lock($groupingId, $basedOn);
            $after = $change($before);
            if (!$after->equals($before)) {
                $this->append($groupingId, $basedOn, $what, $after);
            }

            return [$before, $after];
        });
    }

    /**
     * @param -1|1 $by
     *
     * @return array{Floor, Floor} before and after
     *
     * @throws GroupingRefused if there is nothing to undo or redo, or the floor has changed meanwhile
     */
    public function step(string $groupingId, int $basedOn, int $by): array
    {
        return $this->transaction->run(function () use ($groupingId, $basedOn, $by): array {
            $before = $this->lock($groupingId, $basedOn);
            $this->go($groupingId, $basedOn, $by);

            return [$before, $this->now($groupingId)];
        });
    }

    /**
     * Locks the grouping until the transaction ends.
     *
     * @throws GroupingRefused if the floor is not the one the change was meant for
     */
    private function lock(string $groupingId, int $basedOn): Floor
    {
        $step = $this->db->fetchOne('SELECT step FROM grouping WHERE id = ? FOR UPDATE', [$groupingId]);
        if ($step !== $basedOn) {
            throw GroupingRefused::outdated('grouping.floor.changed');
        }

        return $this->now($groupingId);
    }

    /**
     * Puts a floor after the present one; what had been undone is gone with it.
     *
     * @param string $what a word for what was done: deal, seat, swap, …
     */
    public function append(string $groupingId, int $step, string $what, Floor $floor): void
    {
        $this->db->executeStatement('DELETE FROM floor_step WHERE grouping_id = ? AND (number > ? OR number < ?)', [
            $groupingId,
            $step,
            $step - self::STEPS_KEPT,
        ]);
        $this->db->insert('floor_step', [
            'grouping_id' => $groupingId,
            'number' => $step + 1,
            'what' => $what,
            'floor' => FloorJson::write($floor),
        ]);
        $this->db->executeStatement('UPDATE grouping SET step = ? WHERE id = ?', [$step + 1, $groupingId]);
        $this->put($groupingId, $floor);
    }

    /**
     * @param -1|1 $by
     *
     * @throws GroupingRefused if there is nothing to undo or redo
     */
    private function go(string $groupingId, int $step, int $by): void
    {
        $there = $this->db->fetchOne('SELECT floor FROM floor_step WHERE grouping_id = ? AND number = ?', [
            $groupingId,
            $step + $by,
        ]);
        if (!\is_string($there)) {
            throw GroupingRefused::outdated($by < 0 ? 'grouping.nothing_to_undo' : 'grouping.nothing_to_redo');
        }
        $this->db->executeStatement('UPDATE grouping SET step = ? WHERE id = ?', [$step + $by, $groupingId]);
        $this->put($groupingId, FloorJson::read($there));
    }

    /**
     * Does a group with this id belong to another grouping?
     */
    public function standsElsewhere(string $groupingId, string $groupId): bool
    {
        return false !==
            $this->db->fetchOne('SELECT 1 FROM work_group WHERE id = ? AND grouping_id <> ?', [
                $groupId,
                $groupingId,
            ]);
    }

    /**
     * The rows become this floor. Groups whose table is gone stay, without a place on it, for what hangs on them.
     */
    private function put(string $groupingId, Floor $floor): void
    {
        $groups = $seats = [];
        $fixed = array_fill_keys($floor->fixed, true);
        foreach ($floor->groups as $position => $group) {
            $groups[] = ['id' => $group->id, 'position' => $position, 'name' => $group->name, 'mark' => $group->mark];
            foreach ($group->students as $i => $student) {
                $seats[] = [
                    'student_id' => $student,
                    'group_id' => $group->id,
                    'number' => $i + 1,
                    'fixed' => isset($fixed[$student]),
                ];
            }
        }
        $values = [
            'grouping' => $groupingId,
            'groups' => json_encode($groups, \JSON_THROW_ON_ERROR),
            'seats' => json_encode($seats, \JSON_THROW_ON_ERROR),
        ];
        $this->db->executeStatement('DELETE FROM seat WHERE grouping_id = :grouping', $values);
        $this->db->executeStatement(
            'UPDATE work_group SET position = NULL WHERE grouping_id = :grouping AND position IS NOT NULL
             AND id NOT IN (SELECT id FROM jsonb_to_recordset(:groups) AS g (id uuid))',
            $values,
        );
        $this->db->executeStatement(
            'INSERT INTO work_group (id, grouping_id, position, name, mark)
             SELECT id, :grouping, position, name, mark FROM jsonb_to_recordset(:groups)
               AS g (id uuid, position int, name text, mark int)
             ON CONFLICT (id) DO UPDATE SET position = EXCLUDED.position, name = EXCLUDED.name, mark = EXCLUDED.mark',
            $values,
        );
        $this->db->executeStatement(
            'INSERT INTO seat (grouping_id, student_id, group_id, number, fixed)
             SELECT :grouping, student_id, group_id, number, fixed FROM jsonb_to_recordset(:seats)
               AS s (student_id uuid, group_id uuid, number int, fixed boolean)',
            $values,
        );
    }
}
