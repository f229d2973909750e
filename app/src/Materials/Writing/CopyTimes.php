<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\Core\Materials\CopyTime;

/**
 * When copies are open, read beside other things of a copy `c`: what to select, and from where.
 */
final readonly class CopyTimes
{
    public const COLUMNS = Moments::COLUMNS.', h.opens_with_id IS NOT NULL AS alone, o.position AS opens_at,
        o.closes_at,
        n.position AS lesson_at, l.ended_at, l.locks_at_end';
    public const FROM = 'JOIN round r ON r.id = c.round_id JOIN lesson l ON l.id = r.lesson_id
      LEFT JOIN segment n ON n.id = l.segment_id
             LEFT JOIN hand_out h ON h.round_id = c.round_id AND h.original_id = c.original_id AND h.group_id IS NULL
               AND h.attribute IS NULL
             LEFT JOIN segment o ON o.id = h.opens_with_id
             LEFT JOIN LATERAL (SELECT id FROM run WHERE round_id = r.id AND NOT taken_back ORDER BY attempt DESC
               LIMIT 1) u ON true';

    public static function fromRow(Row $row): CopyTime
    {
        return new CopyTime(
            Moments::fromRow($row)->state(),
            $row->bool('alone'),
            $row->intOrNull('opens_at'),
            $row->intOrNull('lesson_at'),
            $row->intOrNull('ended_at'),
            $row->bool('locks_at_end'),
            $row->intOrNull('closes_at'),
        );
    }
}
