<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of the events of a class. By hand: there are tens of thousands in a lesson.
 */
final readonly class EventErasureStore
{
    /** They say nothing but where the student was. */
    private const OWN = [
        EventKind::WhereaboutsChanged,
        EventKind::SeatsChanged,
        EventKind::TakenAside,
        EventKind::PutBack,
        EventKind::Fetched,
    ];

    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->db->executeStatement(
            'DELETE FROM live_event WHERE student_id = ? AND kind = ANY(?::text[])',
            [$student->id, '{'.implode(',', array_column(self::OWN, 'value')).'}'],
        );
        $this->db->executeStatement(
            'UPDATE live_event SET student_id = NULL WHERE student_id = ?',
            [$student->id],
        );
        $this->db->executeStatement(
            'UPDATE live_event SET actor_id = ? WHERE actor_id = ?',
            [FormerMember::NOBODY, $student->id],
        );
        $this->db->executeStatement('UPDATE group_signal SET called_by = NULL WHERE called_by = ?', [$student->id]);
        $rows = $this->db->iterateAssociative(
            "SELECT e.lesson_id, e.seq, e.data FROM live_event e JOIN lesson l ON l.id = e.lesson_id
             WHERE l.class_id = ? AND e.kind <> 'whereaboutsChanged' AND e.data::text <> '{}'",
            [$classId],
        );
        foreach ($rows as $row) {
            $row = new Row($row);
            $data = $row->json('data');
            $clean = $student->inside($data);
            if ($clean !== $data) {
                $this->db->update(
                    'live_event',
                    ['data' => json_encode($clean, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE)],
                    ['lesson_id' => $row->text('lesson_id'), 'seq' => $row->int('seq')],
                );
            }
        }
    }
}
