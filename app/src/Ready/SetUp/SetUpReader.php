<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;

/**
 * How carrying out stands. By hand: asked for with every look at a lesson, and counted where the steps are.
 */
final readonly class SetUpReader
{
    private const MOST_SHOWN = 20;

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return string|null the set-up of a lesson that is being carried out
     */
    public function running(string $lessonId): ?string
    {
        $id = $this->db->fetchOne('SELECT id FROM set_up WHERE lesson_id = ? AND done_at IS NULL', [$lessonId]);

        return \is_string($id) ? $id : null;
    }

    /**
     * @return SetUpView|null the latest of a lesson, if it is being carried out or something of it failed
     */
    public function forLesson(string $lessonId): ?SetUpView
    {
        $row = $this->db->fetchAssociative(
            "SELECT s.id, s.round_id, s.done_at IS NULL AS running, count(*)
                AS of, count(*) FILTER (WHERE t.state = 'done') AS done,
                    (array_agg(t.says ORDER BY t.due_at, t.position) FILTER (WHERE t.state = 'waiting'))[1] AS now
             FROM set_up s JOIN set_up_step t ON t.set_up_id = s.id WHERE s.lesson_id = ? GROUP BY s.id
               ORDER BY s.id DESC LIMIT 1",
            [$lessonId],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);
        $failed = array_map(
            static fn (Row $step): StepFailed => new StepFailed(
                $step->int('position'),
                $step->textOrNull('group_id'),
                $step->text('says'),
                $step->text('failure'),
                'waiting' === $step->text('state'),
            ),
            $row->int('done') === $row->int('of')
                ? []
                : Row::all(
                    $this->db->fetchAllAssociative(
                        'SELECT position, group_id, says, failure, state FROM set_up_step WHERE set_up_id = ?
                            AND failure IS NOT NULL ORDER BY position LIMIT '.
                            self::MOST_SHOWN,
                        [$row->text('id')],
                    ),
                ),
        );
        if (!$row->bool('running') && [] === $failed) {
            return null;
        }

        return new SetUpView(
            $row->text('id'),
            $row->text('round_id'),
            $row->bool('running'),
            $row->int('done'),
            $row->int('of'),
            $row->bool('running') ? $row->textOrNull('now') : null,
            $failed,
        );
    }
}
