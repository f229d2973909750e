<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;

/**
 * What waits for a worker. By hand: three figures for whoever watches, every few seconds.
 */
final readonly class QueueReader
{
    public function __construct(private Connection $db, private Clock $clock)
    {
    }

    /**
     * @return array{due: int, oldest: int, failed: int} how many tasks are due, for how many seconds the oldest has
     *                                                   been, how many have failed for good; all 0 without a database
     */
    public function read(): array
    {
        try {
            $row = $this->db->fetchAssociative(
                'SELECT count(*) AS due, COALESCE(max(:now - due_at), 0) / 1000 AS oldest,
                    (SELECT count(*) FROM failed_task) AS failed
                 FROM due_task WHERE due_at <= :now AND (claimed_until IS NULL OR claimed_until <= :now)',
                ['now' => $this->clock->ms()],
            );
        } catch (Exception) {
            $row = false;
        }
        if (false === $row) {
            return ['due' => 0, 'oldest' => 0, 'failed' => 0];
        }
        $row = new Row($row);

        return ['due' => $row->int('due'), 'oldest' => $row->int('oldest'), 'failed' => $row->int('failed')];
    }
}
