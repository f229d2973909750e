<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\DBAL\Connection;

/**
 * Numbers the events of a lesson. By hand: the number comes from the row that is held.
 */
final readonly class EventNumberStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return int the last of so many new numbers, one after the other
     */
    public function take(string $lessonId, int $many): int
    {
        $last = $this->db->fetchOne('UPDATE lesson SET event_seq = event_seq + ? WHERE id = ? RETURNING event_seq', [
            $many,
            $lessonId,
        ]);
        \assert(\is_int($last));

        return $last;
    }
}
