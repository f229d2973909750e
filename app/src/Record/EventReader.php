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
        return $this->facts([$lessonId => $end], self::KINDS)[$lessonId];
    }

    /**
     * Only moves and visits.
     *
     * @param array<string, int> $ends when each lesson was over, milliseconds since 1970
     *
     * @return array<string, EventFacts> by lesson
     */
    public function visits(array $ends): array
    {
        return $this->facts($ends, [EventKind::SeatsChanged, EventKind::VisitBegun, EventKind::VisitEnded]);
    }

    /**
     * @param array<string, int> $ends  by lesson
     * @param list<EventKind>    $kinds
     *
     * @return array<string, EventFacts> by lesson
     */
    private function facts(array $ends, array $kinds): array
    {
        $folds = array_map(static fn (int $end): EventFold => new EventFold($end), $ends);
        foreach ($this->rows(array_keys($ends), $kinds) as $row) {
            $folds[$row->text('lesson_id')]->add($row);
        }

        return array_map(static fn (EventFold $fold): EventFacts => $fold->facts(), $folds);
    }

    /**
     * @param list<string>    $lessons
     * @param list<EventKind> $kinds
     *
     * @return iterable<Row>
     */
    private function rows(array $lessons, array $kinds): iterable
    {
        $rows = $this->db->iterateAssociative(
            "SELECT lesson_id, kind, at, actor_id, student_id, run_id,
                data ->> 'group' AS group_id, data ->> 'segment' AS segment_id,
                data ->> 'toGroup' AS to_group, data ->> 'place' AS place, data ->> 'at' AS seen_at,
                data ->> 'number' AS number
             FROM live_event WHERE lesson_id = ANY(:lessons::uuid[]) AND kind = ANY(:kinds::text[])
             ORDER BY seq",
            [
                'lessons' => '{'.implode(',', $lessons).'}',
                'kinds' => '{'.implode(',', array_column($kinds, 'value')).'}',
            ],
        );
        foreach ($rows as $row) {
            yield new Row($row);
        }
    }
}
