<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Lesson\EventKind;

/**
 * What the events of a lesson say for its record. By hand: tens of thousands are read in one round trip, and each is
 * turned into a fact at once.
 */
final readonly class EventReader
{
    private const KINDS = [
        EventKind::SegmentBegun,
        EventKind::SeatsChanged,
        EventKind::WhereaboutsChanged,
        EventKind::CallMade,
        EventKind::CallTakenBack,
        EventKind::VisitBegun,
        EventKind::VisitEnded,
        EventKind::CalledOn,
        EventKind::CallAnswered,
        EventKind::CallPassed,
    ];

    public function __construct(private Connection $db)
    {
    }

    /**
     * @param int $end milliseconds since 1970: when the lesson was over, or now
     */
    public function read(string $lessonId, int $end): EventFacts
    {
        $fold = new EventFold($end);
        foreach ($this->rows($lessonId) as $row) {
            $fold->add($row);
        }

        return $fold->facts();
    }

    /**
     * @return iterable<Row>
     */
    private function rows(string $lessonId): iterable
    {
        $rows = $this->db->iterateAssociative(
            "SELECT kind, at, actor_id, student_id, run_id,
                data ->> 'group' AS group_id, data ->> 'segment' AS segment_id,
                data ->> 'toGroup' AS to_group, data ->> 'place' AS place, data ->> 'at' AS seen_at,
                data ->> 'number' AS number
             FROM live_event WHERE lesson_id = :lesson AND kind = ANY(:kinds::text[]) ORDER BY seq",
            [
                'lesson' => $lessonId,
                'kinds' => '{'.implode(',', array_column(self::KINDS, 'value')).'}',
            ],
        );
        foreach ($rows as $row) {
            yield new Row($row);
        }
    }
}
