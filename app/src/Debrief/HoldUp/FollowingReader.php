<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\DBAL\Connection;

/**
 * Where it is seen at once what is written in a place of a copy. By hand: every save asks.
 */
final readonly class FollowingReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<string> lessons in which this place is shown as it is
     */
    public function lessons(string $copyId, string $slot, string $owner): array
    {
        return array_values(
            array_filter(
                $this->db->fetchFirstColumn(
                    'SELECT lesson_id FROM hold_up WHERE copy_id = :copy AND frozen IS NULL
                       AND COALESCE(slot, :slot) = :slot AND COALESCE(owner, :owner) = :owner
                     UNION SELECT h.lesson_id FROM work_copy c
                       JOIN hold_up h ON h.round_id = c.round_id AND h.original_id = c.original_id
                     WHERE c.id = :copy AND h.slot = :slot',
                    ['copy' => $copyId, 'slot' => $slot, 'owner' => $owner],
                ),
                \is_string(...),
            ),
        );
    }
}
