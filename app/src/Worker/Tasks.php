<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;

/**
 * Work that is due now or later, kept in the database. Any number of workers share it: each claims what no other holds.
 * There is at most one task of a kind for a subject; asking again moves it to the new time.
 */
final readonly class Tasks
{
    /**
     * How long a worker may hold a task before another may take it, in milliseconds: longer than any task should last.
     * What a worker held whose connection to the database is gone, another takes at once.
     */
    private const CLAIM = 60_000;

    public function __construct(private Connection $db, private Clock $clock)
    {
    }

    /**
     * @param int|null             $dueAt milliseconds since 1970; null: now
     * @param array<string, mixed> $data
     */
    public function schedule(string $kind, string $subject, ?int $dueAt = null, array $data = []): void
    {
        $this->db->executeStatement(
            'INSERT INTO due_task (kind, subject, data, due_at) VALUES (?, ?, ?, ?)
             ON CONFLICT (kind, subject) DO UPDATE SET data = EXCLUDED.data, due_at = EXCLUDED.due_at, attempts = 0,
               failure = NULL, claimed_until = NULL, claimed_by = NULL',
            [$kind, $subject, json_encode($data, \JSON_THROW_ON_ERROR), $dueAt ?? $this->clock->ms()],
        );
    }

    /**
     * As `schedule`, but leaves a task alone that is there already.
     *
     * @param array<string, mixed> $data
     */
    public function scheduleOnce(string $kind, string $subject, ?int $dueAt = null, array $data = []): void
    {
        $this->db->executeStatement(
            'INSERT INTO due_task (kind, subject, data, due_at) VALUES (?, ?, ?, ?) ON CONFLICT (kind, subject)
                DO NOTHING',
            [$kind, $subject, json_encode((object) $data, \JSON_THROW_ON_ERROR), $dueAt ?? $this->clock->ms()],
        );
    }

    public function cancel(string $subject, string ...$kinds): void
    {
        $this->db->executeStatement(
            'DELETE FROM due_task WHERE subject = ? AND kind IN ('.implode(', ', array_fill(0, \count($kinds), '?')).')',
            [$subject, ...array_values($kinds)],
        );
    }

    /**
     * Work about somebody who is erased is not done any more; other work does not name them.
     *
     * @param string                 $id    of a student
     * @param list<string>           $names
     * @param callable(mixed): mixed $clean takes them out of what a task holds
     */
    public function forgetAbout(string $id, array $names, callable $clean): void
    {
        foreach (['due_task', 'failed_task'] as $table) {
            $this->db->executeStatement("DELETE FROM {$table} WHERE subject LIKE ? OR data::text LIKE ?", [
                "%{$id}%",
                "%{$id}%",
            ]);
            foreach ($names as $name) {
                foreach (
                    Row::all(
                        $this->db->fetchAllAssociative(
                            "SELECT id, data FROM {$table} WHERE strpos(lower(data::text), lower(?)) > 0",
                            [$name],
                        ),
                    ) as $row
                ) {
                    $this->db->update(
                        $table,
                        ['data' => json_encode($clean($row->json('data')), \JSON_THROW_ON_ERROR)],
                        ['id' => $row->text('id')],
                    );
                }
            }
        }
    }

    /**
     * Whether a task of this kind waits or is being done.
     */
    public function isThere(string $kind, string $subject): bool
    {
        return false !==
            $this->db->fetchOne('SELECT 1 FROM due_task WHERE kind = ? AND subject = ?', [$kind, $subject]);
    }

    public function claim(): ?Task
    {
        $now = $this->clock->ms();
        $row = $this->db->fetchAssociative(
            'UPDATE due_task SET claimed_until = :until, claimed_by = pg_backend_pid(), attempts = attempts + 1
                WHERE id = (
                SELECT id FROM due_task WHERE due_at <= :now
                  AND (claimed_until IS NULL OR claimed_until < :now OR NOT EXISTS (SELECT 1 FROM pg_stat_activity p
                    WHERE p.pid = due_task.claimed_by))
                ORDER BY due_at, id LIMIT 1 FOR UPDATE SKIP LOCKED
             ) RETURNING id, kind, subject, data, attempts, claimed_until',
            ['until' => $now + self::CLAIM, 'now' => $now],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new Task(
            $row->int('id'),
            $row->text('kind'),
            $row->text('subject'),
            $row->json('data'),
            $row->int('attempts'),
            $row->int('claimed_until'),
        );
    }

    /**
     * Done; unless it was asked for again meanwhile.
     */
    public function done(Task $task): void
    {
        $this->db->executeStatement('DELETE FROM due_task WHERE id = ? AND claimed_until = ?', [
            $task->id,
            $task->claimedUntil,
        ]);
    }

    /**
     * What a claimed task that comes round by itself is to know the next time.
     *
     * @param array<string, mixed> $data
     */
    public function keep(Task $task, array $data): void
    {
        $this->db->executeStatement('UPDATE due_task SET data = ? WHERE id = ? AND claimed_until = ?', [
            json_encode((object) $data, \JSON_THROW_ON_ERROR),
            $task->id,
            $task->claimedUntil,
        ]);
    }

    /**
     * Puts a claimed task off.
     *
     * @param int    $dueAt   milliseconds since 1970
     * @param string $failure why it has to be done again; '' for a task that comes round by itself
     */
    public function again(Task $task, int $dueAt, string $failure = ''): void
    {
        $this->db->executeStatement(
            'UPDATE due_task SET due_at = ?, claimed_until = NULL, claimed_by = NULL, failure = ?,
                attempts = CASE WHEN ? THEN 0 ELSE attempts END WHERE id = ? AND claimed_until = ?',
            [
                $dueAt,
                '' === $failure ? null : mb_substr($failure, 0, 200),
                '' === $failure ? 't' : 'f',
                $task->id,
                $task->claimedUntil,
            ],
        );
    }
}
