<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Moving\MyAside;
use FreshHuddle\App\Live\NoticeView;
use FreshHuddle\App\Live\Signal\MySignal;
use FreshHuddle\App\Live\Speech\MySpeaking;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * What a student's page asks for, in one round trip each. By hand: a whole class asks at once whenever something
 * happens, and every millisecond of it stands between a press and the last page that shows it.
 *
 * @phpstan-type Room array{id: string, source: SourceKind, name: string, openedAt: int|null, openedBy: string}
 */
final readonly class StudentReader
{
    private const NOTICES = 3;
    /** Rooms in our own pages are there for whoever sits at the table, made or not. */
    private const HERE = ['here' => SourceKind::OwnRooms->value];
    /**
     * The student's own seat (`:student`), and the members of its table `g`, on the floor of a grouping (`:grouping`).
     */
    private const SEATS_NOW = [
        "SELECT w.id, w.name, w.mark, s.number AS seat,
                (SELECT string_agg(k.task, '; ' ORDER BY k.position) FROM seat_task k
                  JOIN seat_task_number n ON n.grouping_id = k.grouping_id AND n.position = k.position
                  WHERE k.grouping_id = s.grouping_id AND n.number = s.number) AS task,
                (SELECT COUNT(*) FROM work_group o WHERE o.grouping_id = w.grouping_id AND o.position <= w.position)
                  AS number
         FROM seat s JOIN work_group w ON w.id = s.group_id AND w.position IS NOT NULL WHERE s.grouping_id = :grouping
           AND s.student_id = :student",
        "SELECT jsonb_agg(jsonb_build_array(t.id, t.name, o.number, COALESCE(r.role, ''), CASE WHEN (
            SELECT c.cannot_read_yet FROM school_class c WHERE c.id = t.class_id) THEN t.picture END) ORDER BY o.number)
         FROM seat o JOIN student t ON t.id = o.student_id LEFT JOIN seat_role r ON r.grouping_id = o.grouping_id
           AND r.number = o.number
         WHERE o.group_id = g.id AND t.removed_at IS NULL AND NOT t.absent",
    ];
    /** The same as they were when a run (`:run`) ended. */
    private const SEATS_THEN = [
        'SELECT w.group_id AS id, w.last_name AS name, w.mark, s.number AS seat, s.task,
                (SELECT COUNT(*) FROM run_group o WHERE o.run_id = w.run_id AND o.position <= w.position) AS number
         FROM run_last_seat s JOIN run_group w ON w.id = s.run_group_id WHERE s.run_id = :run
           AND s.student_id = :student AND w.group_id IS NOT NULL',
        'SELECT jsonb_agg(jsonb_build_array(t.id, o.name, o.number, o.role, CASE WHEN (SELECT c.cannot_read_yet
            FROM school_class c WHERE c.id = t.class_id) THEN t.picture END) ORDER BY o.number)
         FROM run_group x JOIN run_last_seat o ON o.run_group_id = x.id JOIN student t ON t.id = o.student_id
         WHERE x.run_id = :run AND x.group_id = g.id AND t.removed_at IS NULL AND NOT t.absent',
    ];

    /** Whether the main session is muted, the student has the microphone, or has asked for it. */
    private const SPEAKING = 'SELECT jsonb_build_array(v.is_muted, COALESCE(v.speaker_id = :student, false), EXISTS (
            SELECT 1 FROM speaking_wish w WHERE w.lesson_id = v.lesson_id AND w.student_id = :student))
         FROM speaking v WHERE v.lesson_id = :lesson';

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return array{main: array{SourceKind, string}|null, seenIn: string|null, seq: int, notices: list<NoticeView>,
     *   aside: MyAside|null, fetchedAt: int|null, otherDevice: string|null, alone: list<array{CopyLink, int}>,
     *   speaking: MySpeaking, takesIn: bool}
     */
    public function around(StudentUser $student, ?string $roundId = null): array
    {
        $row = $this->db->fetchAssociative(
            "SELECT (SELECT jsonb_build_array(COALESCE(r.source, f.kind), COALESCE(r.name, ''))
                FROM school_class c LEFT JOIN room r ON r.class_id = c.id AND r.purpose = 'main'
                LEFT JOIN room_member p ON p.room_id = r.id AND p.student_id = :student
                LEFT JOIN room_source f ON f.class_id = c.id WHERE c.id = :class
                  AND (p.student_id IS NOT NULL OR COALESCE(r.source, f.kind) = :here)) AS main,
                    (SELECT service_place FROM presence WHERE student_id = :student) AS seen_in,
                    (SELECT g.id FROM doorway_guest g WHERE g.class_id = :class AND g.meant = :student
                      AND NOT g.refused ORDER BY g.id LIMIT 1) AS other_device,
                    (SELECT seq FROM live_event e WHERE e.lesson_id = :lesson AND ".
                EventStore::CONCERNS.
                " ORDER BY seq DESC LIMIT 1) AS seq,
                    (SELECT jsonb_build_array(a.place, a.from_at, m.fetched_at, r.source, r.name, r.source = :here
                      OR EXISTS (SELECT 1 FROM room_member p WHERE p.room_id = r.id AND p.student_id = m.student_id
                        AND p.link <> ''))
                     FROM student_move m
                     -- Who is in one place and called to another stays there until then.
                     CROSS JOIN LATERAL (SELECT m.from_at > EXTRACT(EPOCH FROM clock_timestamp()) * 1000
                       AND m.was IS NOT NULL AS stays) t
                     CROSS JOIN LATERAL (SELECT CASE WHEN t.stays THEN m.was ELSE m.place END AS place,
                       CASE WHEN t.stays THEN 0 ELSE m.from_at END AS from_at) a
                     LEFT JOIN room r ON r.id::text = a.place WHERE m.round_id = :round AND m.student_id = :student)
                       AS move,
                    (SELECT jsonb_agg(jsonb_build_array(e.seq, e.data ->> 'text', e.at)) FROM
                        (SELECT e.seq, e.data, e.at FROM live_event e WHERE e.lesson_id = :lesson AND e.kind = :notice
                          AND ".EventStore::IS_FOR.'
                         ORDER BY e.seq DESC LIMIT :most) e) AS notices,
                    (SELECT jsonb_agg(jsonb_build_array(c.id, c.title, c.way, s.position)
                      ORDER BY s.position DESC, h.position, c.id)
                     FROM segment s JOIN hand_out h ON h.opens_with_id = s.id
                       JOIN work_copy c ON c.round_id = h.round_id AND c.original_id = h.original_id
                       AND c.student_id = :student
                     WHERE s.lesson_id = :lesson AND s.position IS NOT NULL) AS alone,
                    ('.self::SPEAKING.') AS speaking,
                    (SELECT takes_in FROM room_source WHERE class_id = :class) AS takes_in',
            [
                'class' => $student->classId,
                'student' => $student->id,
                'lesson' => $student->lessonId,
                'round' => $roundId,
                'most' => self::NOTICES,
                'quiet' => '{'.implode(',', EventKind::quiet()).'}',
                'notice' => EventKind::NoticeSaid->value,
            ] + self::HERE,
        );
        \assert(false !== $row);

        return self::readAround(new Row($row));
    }

    /**
     * @return array{main: array{SourceKind, string}|null, seenIn: string|null, seq: int, notices: list<NoticeView>,
     *   aside: MyAside|null, fetchedAt: int|null, otherDevice: string|null, alone: list<array{CopyLink, int}>,
     *   speaking: MySpeaking, takesIn: bool}
     */
    private static function readAround(Row $row): array
    {
        $move = null === $row->textOrNull('move') ? array_fill(0, 6, null) : $row->json('move');

        return [
            'main' => self::sourceAndName(null === $row->textOrNull('main') ? [] : $row->json('main')),
            'seenIn' => $row->textOrNull('seen_in'),
            'seq' => $row->intOrNull('seq') ?? 0,
            'notices' => self::notices(null === $row->textOrNull('notices') ? [] : $row->json('notices')),
            'aside' => MyAside::read($move),
            'fetchedAt' => \is_int($move[2] ?? null) ? $move[2] : null,
            'otherDevice' => $row->textOrNull('other_device'),
            'alone' => self::alone(null === $row->textOrNull('alone') ? [] : $row->json('alone')),
            'takesIn' => $row->bool('takes_in'),
            'speaking' => MySpeaking::read(null === $row->textOrNull('speaking') ? [] : $row->json('speaking')),
        ];
    }

    /**
     * The table a student sits at in a grouping: its members who are here, each with the number and role of their seat,
     * the student's own number and task, and the copies the student has in a round.
     *
     * @param string|null $runId a run that is over, for the table the student sat at then
     *
     * @return array{id: string, name: string, mark: int, number: int, room: Room|null, copies: list<CopyLink>,
     *   seat: int, task: string,
     *               members: list<Mate>, signal: MySignal}|null
     */
    public function group(StudentUser $student, string $groupingId, string $roundId, ?string $runId = null): ?array
    {
        [$seat, $mates] = null === $runId ? self::SEATS_NOW : self::SEATS_THEN;
        $row = $this->db->fetchAssociative(
            "SELECT g.id, g.name, g.mark, g.seat, g.task, g.number,
                    (SELECT jsonb_build_array(COALESCE(r.source, f.kind), COALESCE(r.name, ''), r.opened_at,
                        COALESCE(f.opened_by, ''), COALESCE(r.id::text, ''))
                      FROM school_class c LEFT JOIN room r ON r.group_id = g.id
                     LEFT JOIN room_member p ON p.room_id = r.id AND p.student_id = :student
                     LEFT JOIN room_source f ON f.class_id = c.id WHERE c.id = :class
                       AND (p.student_id IS NOT NULL OR COALESCE(r.source, f.kind) = :here)) AS room,
                    (SELECT jsonb_agg(jsonb_build_array(c.id, c.title, c.way) ORDER BY h.position, c.id)
                      FROM work_copy c
                     JOIN hand_out h ON h.round_id = c.round_id AND h.original_id = c.original_id
                       AND h.group_id IS NULL AND h.attribute IS NULL AND h.opens_with_id IS NULL
                     LEFT JOIN hand_out o ON o.round_id = c.round_id AND o.original_id = c.original_id
                       AND o.group_id = g.id
                     -- The second condition follows from the third, and finds them among thousands.
                     WHERE c.round_id = :round AND (c.student_id = :student OR c.group_id = g.id
                       OR (c.group_id IS NULL AND c.student_id IS NULL)) AND CASE COALESCE(o.way, h.way)
                        WHEN 'each' THEN c.student_id = :student
                        WHEN 'all' THEN c.group_id IS NULL AND c.student_id IS NULL
                        WHEN 'nothing' THEN FALSE ELSE c.group_id = g.id END) AS copies,
                    ({$mates}) AS members,
                    (SELECT jsonb_build_array(x.about, x.called_at, x.call_seen_at, x.called_by = :student, x.mark,
                      x.visitor IS NOT NULL,
                        (SELECT COUNT(*) FROM group_signal y WHERE y.round_id = x.round_id
                          AND (y.called_at, y.group_id) <= (x.called_at, x.group_id)))
                     FROM group_signal x WHERE x.round_id = :round AND x.group_id = g.id) AS signal
             FROM ({$seat}) g",
            ['student' => $student->id, 'round' => $roundId, 'class' => $student->classId] + self::HERE +
                (null === $runId ? ['grouping' => $groupingId] : ['run' => $runId]),
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return [
            'id' => $row->text('id'),
            'name' => $row->text('name'),
            'mark' => $row->int('mark'),
            'number' => $row->int('number'),
            'room' => self::room(null === $row->textOrNull('room') ? [] : $row->json('room')),
            'copies' => self::copies($row),
            'seat' => $row->int('seat'),
            'task' => $row->textOrNull('task') ?? '',
            'members' => self::members($row),
            'signal' => MySignal::read(null === $row->textOrNull('signal') ? [] : $row->json('signal')),
        ];
    }

    /**
     * @param array<array-key, mixed> $rows number, text, when
     *
     * @return list<NoticeView>
     */
    private static function notices(array $rows): array
    {
        $notices = [];
        foreach ($rows as $notice) {
            if (\is_array($notice) && \is_int($notice[0]) && \is_string($notice[1]) && \is_int($notice[2])) {
                $notices[] = new NoticeView($notice[0], $notice[1], $notice[2]);
            }
        }

        return $notices;
    }

    /**
     * @return list<Mate>
     */
    private static function members(Row $row): array
    {
        $members = [];
        foreach (null === $row->textOrNull('members') ? [] : $row->json('members') as $member) {
            if (
                \is_array($member)
                && \is_string($member[0])
                && \is_string($member[1])
                && \is_int($member[2])
                && \is_string($member[3])
            ) {
                $members[] = new Mate(
                    $member[0],
                    $member[1],
                    $member[2],
                    $member[3],
                    \is_int($member[4] ?? null) ? $member[4] : null,
                );
            }
        }

        return $members;
    }

    /**
     * @return list<CopyLink>
     */
    private static function copies(Row $row): array
    {
        $copies = [];
        foreach (null === $row->textOrNull('copies') ? [] : $row->json('copies') as $copy) {
            if (\is_array($copy) && \is_string($copy[0]) && \is_string($copy[1]) && \is_string($copy[2])) {
                $copies[] = new CopyLink($copy[0], $copy[1], HandOutWay::from($copy[2]));
            }
        }

        return $copies;
    }

    /**
     * @return array{place: string, link: string, source: SourceKind}|null the student's own link into a side room; null
     *     where there is none
     */
    public function sideLink(StudentUser $student, string $roomId): ?array
    {
        return self::way(
            $this->db->fetchAssociative(
                "SELECT r.id AS place, COALESCE(p.link, '') AS link, r.source FROM room r
                    LEFT JOIN room_member p ON p.room_id = r.id AND p.student_id = :student
                 WHERE r.id = :room AND r.class_id = :class AND r.purpose = 'side'
                   AND (p.link <> '' OR r.source = :here)",
                ['room' => $roomId, 'class' => $student->classId, 'student' => $student->id] + self::HERE,
            ),
        );
    }

    /**
     * @return array{place: string, link: string, source: SourceKind}|null the student's own link into the room of their
     *     group, or into the main session where no grouping is said; null where there is none
     */
    public function link(StudentUser $student, ?string $groupingId): ?array
    {
        $row =
            null === $groupingId
                ? $this->db->fetchAssociative(
                    "SELECT 'main' AS place, COALESCE(p.link, '') AS link, COALESCE(r.source, f.kind) AS source
                     FROM school_class c LEFT JOIN room r ON r.class_id = c.id AND r.purpose = 'main'
                       LEFT JOIN room_member p ON p.room_id = r.id AND p.student_id = :student
                       LEFT JOIN room_source f ON f.class_id = c.id
                     WHERE c.id = :class AND (p.link <> '' OR COALESCE(r.source, f.kind) = :here)",
                    ['class' => $student->classId, 'student' => $student->id] + self::HERE,
                )
                : $this->db->fetchAssociative(
                    "SELECT g.id AS place, COALESCE(p.link, '') AS link, COALESCE(r.source, f.kind) AS source
                     FROM seat s JOIN work_group g ON g.id = s.group_id AND g.position IS NOT NULL
                       LEFT JOIN room r ON r.group_id = g.id
                       LEFT JOIN room_member p ON p.room_id = r.id AND p.student_id = s.student_id
                       LEFT JOIN room_source f ON f.class_id = :class
                     WHERE s.grouping_id = :grouping AND s.student_id = :student
                       AND (p.link <> '' OR COALESCE(r.source, f.kind) = :here)",
                    ['grouping' => $groupingId, 'class' => $student->classId, 'student' => $student->id] + self::HERE,
                );

        return self::way($row);
    }

    /**
     * @param array<array-key, mixed> $rows
     *
     * @return list<array{CopyLink, int}> each with the position of the segment it opens with, the last first
     */
    private static function alone(array $rows): array
    {
        $alone = [];
        foreach ($rows as $copy) {
            if (
                \is_array($copy)
                && \is_string($copy[0])
                && \is_string($copy[1])
                && \is_string($copy[2])
                && \is_int($copy[3])
            ) {
                $alone[] = [new CopyLink($copy[0], $copy[1], HandOutWay::from($copy[2])), $copy[3]];
            }
        }

        return $alone;
    }

    /**
     * @param array<string, mixed>|false $row
     *
     * @return array{place: string, link: string, source: SourceKind}|null
     */
    private static function way(array|false $row): ?array
    {
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return [
            'place' => $row->text('place'),
            'link' => $row->text('link'),
            'source' => SourceKind::from($row->text('source')),
        ];
    }

    /**
     * @param array<array-key, mixed> $row
     *
     * @return array{SourceKind, string}|null
     */
    private static function sourceAndName(array $row): ?array
    {
        return \is_string($row[0] ?? null) && \is_string($row[1] ?? null)
            ? [SourceKind::from($row[0]), $row[1]]
            : null;
    }

    /**
     * @param array<array-key, mixed> $row
     *
     * @return Room|null
     */
    private static function room(array $row): ?array
    {
        [$at, $by, $id] = [$row[2] ?? null, $row[3] ?? '', $row[4] ?? ''];
        $room = self::sourceAndName($row);

        return null === $room || !\is_string($by) || !\is_string($id)
            ? null
            : [
                'id' => $id,
                'source' => $room[0],
                'name' => $room[1],
                'openedAt' => \is_int($at) ? $at : null,
                'openedBy' => $by,
            ];
    }
}
