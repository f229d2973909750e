<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Ready\SetUp\SetUpStep;
use Symfony\Component\Uid\Uuid;

/**
 * Writes set-up lists that are carried out. By hand: two people who press at once begin one, and each of up to 600
 * steps is noted the moment it is done.
 */
final readonly class SetUpStore
{
    public function __construct(
        private Connection $db,
        private Words $words,
        private Clock $clock,
        private Transaction $transaction,
    ) {
    }

    /**
     * @param list<SetUpStep> $steps
     *
     * @return string|null the set-up; null if one of this lesson is being carried out already
     */
    public function begin(Round $round, Teacher $teacher, string $digest, array $steps): ?string
    {
        $id = Uuid::v7()->toRfc4122();
        try {
            $this->transaction->run(function () use ($id, $round, $teacher, $digest, $steps): void {
                // One that is done is kept until the next of its lesson.
                $this->db->executeStatement('DELETE FROM set_up WHERE lesson_id = ? AND done_at IS NOT NULL', [
                    $round->lesson->id,
                ]);
                $this->db->insert('set_up', [
                    'id' => $id,
                    'lesson_id' => $round->lesson->id,
                    'round_id' => $round->id,
                    'teacher_id' => $teacher->id,
                    'begun_at' => $this->clock->ms(),
                    'digest' => $digest,
                ]);
                $rows = [];
                foreach ($steps as $position => $step) {
                    $rows[] = [
                        'position' => $position,
                        'kind' => $step->kind->value,
                        'group_id' => $step->group,
                        'subject' => $step->subject,
                        'ids' => $step->ids,
                        'count' => $step->count,
                        'round_id' => $step->round ?? $round->id,
                        'says' => mb_substr($this->words->say($step->says), 0, 500),
                    ];
                }
                $this->db->executeStatement(
                    "INSERT INTO set_up_step (set_up_id, position, kind, group_id, subject, ids, count, round_id,
                        says, state)
                     SELECT ?, position, kind, group_id, subject, ids, count, round_id, says, 'waiting'
                     FROM jsonb_to_recordset(?) AS s (position int, kind text, group_id uuid, subject text, ids jsonb,
                       count int, round_id uuid, says text)",
                    [$id, json_encode($rows, \JSON_THROW_ON_ERROR)],
                );
            });
        } catch (UniqueConstraintViolationException) {
            return null;
        }

        return $id;
    }

    public function done(string $setUpId, int $position): void
    {
        $this->db->executeStatement(
            "UPDATE set_up_step SET state = 'done', failure = NULL WHERE set_up_id = ? AND position = ?",
            [$setUpId, $position],
        );
    }

    /**
     * @param int|null $dueAt when it is tried again, in milliseconds since 1970; null: not by itself
     */
    public function failed(string $setUpId, int $position, string $why, ?int $dueAt): void
    {
        $this->db->executeStatement(
            'UPDATE set_up_step SET state = ?, tries = tries + 1, failure = ?, due_at = ? WHERE set_up_id = ?
                AND position = ?',
            [
                (null === $dueAt ? StepState::Failed : StepState::Waiting)->value,
                mb_substr($why, 0, 200),
                $dueAt ?? 0,
                $setUpId,
                $position,
            ],
        );
    }

    /**
     * @param int|null $position the step; null: all that failed
     *
     * @return bool whether there is something to try again
     */
    public function again(string $setUpId, ?int $position): bool
    {
        return $this->transaction->run(function () use ($setUpId, $position): bool {
            $steps = $this->db->executeStatement(
                "UPDATE set_up_step SET state = 'waiting', tries = 0, due_at = 0 WHERE set_up_id = ?
                    AND state = 'failed' AND (?::int IS NULL OR position = ?)",
                [$setUpId, $position, $position],
            );
            if (0 === $steps) {
                return false;
            }
            try {
                $this->transaction->run(
                    fn (): int|string => $this->db->executeStatement('UPDATE set_up SET done_at = NULL WHERE id = ?', [
                        $setUpId,
                    ]),
                );
            } catch (UniqueConstraintViolationException) {
                // another list of the lesson is being carried out: what failed here stands in it, if it is still wanted
                return false;
            }

            return true;
        });
    }

    public function finish(string $setUpId): void
    {
        $this->db->executeStatement('UPDATE set_up SET done_at = ? WHERE id = ?', [$this->clock->ms(), $setUpId]);
    }
}
