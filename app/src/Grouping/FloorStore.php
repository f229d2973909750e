<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Grouping\Floor;

/**
 * Keeps every floor a grouping has had, so that undo and redo outlive a reload and a change of machine.
 */
final readonly class FloorStore
{
    /** Older floors are let go. */
    private const STEPS_KEPT = 100;

    public function __construct(private Connection $db)
    {
    }

    public function create(string $groupingId): void
    {
        $this->db->insert('grouping_step', ['grouping_id' => $groupingId, 'number' => 0, 'what' => '', 'floor' => FloorJson::write(new Floor())]);
    }

    public function now(string $groupingId): Floor
    {
        $floor = $this->db->fetchOne(
            'SELECT s.floor FROM grouping g JOIN grouping_step s ON s.grouping_id = g.id AND s.number = g.step WHERE g.id = ?',
            [$groupingId],
        );

        return \is_string($floor) ? FloorJson::read($floor) : throw Problem::notFound();
    }

    /**
     * @return array{step: int, undo: string|null, redo: string|null} what can be undone and redone
     */
    public function steps(string $groupingId): array
    {
        $row = $this->db->fetchAssociative(
            'SELECT g.step, now.what AS undo, next.what AS redo, before.number AS before FROM grouping g
             JOIN grouping_step now ON now.grouping_id = g.id AND now.number = g.step
             LEFT JOIN grouping_step before ON before.grouping_id = g.id AND before.number = g.step - 1
             LEFT JOIN grouping_step next ON next.grouping_id = g.id AND next.number = g.step + 1 WHERE g.id = ?',
            [$groupingId],
        );
        $row = new Row(false === $row ? throw Problem::notFound() : $row);

        return ['step' => $row->int('step'), 'undo' => null === $row->intOrNull('before') ? null : $row->text('undo'), 'redo' => $row->textOrNull('redo')];
    }

    /**
     * Locks the grouping until the transaction ends.
     *
     * @throws Problem 409 if the floor is not the one the change was meant for
     */
    public function lock(string $groupingId, int $basedOn): Floor
    {
        $step = $this->db->fetchOne('SELECT step FROM grouping WHERE id = ? FOR UPDATE', [$groupingId]);
        if ($step !== $basedOn) {
            throw new Problem(409, 'The floor was changed in another window a moment ago. Here is how it stands now.');
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
        $this->db->executeStatement('DELETE FROM grouping_step WHERE grouping_id = ? AND (number > ? OR number < ?)', [$groupingId, $step, $step - self::STEPS_KEPT]);
        $this->db->insert('grouping_step', ['grouping_id' => $groupingId, 'number' => $step + 1, 'what' => $what, 'floor' => FloorJson::write($floor)]);
        $this->db->executeStatement('UPDATE grouping SET step = ? WHERE id = ?', [$step + 1, $groupingId]);
    }

    /**
     * @param -1|1 $by
     *
     * @throws Problem 409 if there is nothing to undo or redo
     */
    public function go(string $groupingId, int $step, int $by): void
    {
        $there = $this->db->fetchOne('SELECT 1 FROM grouping_step WHERE grouping_id = ? AND number = ?', [$groupingId, $step + $by]);
        if (false === $there) {
            throw new Problem(409, $by < 0 ? 'There is nothing to undo.' : 'There is nothing to redo.');
        }
        $this->db->executeStatement('UPDATE grouping SET step = ? WHERE id = ?', [$step + $by, $groupingId]);
    }
}
