<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Lesson\EventNumberStore;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Notice\SaidNotice;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\ActorKind;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Place;

/**
 * What happened in lessons, in order. By hand: events are appended while the lesson's row is held, each with the number
 * after the last, and hundreds of pages wait for that row. Write only inside a transaction that holds it (`lock`).
 */
final readonly class EventStore
{
    private const NOTICES_SHOWN = 20;
    /**
     * Whether an event `e` concerns the page of a student (`:student`); with `:quiet`, the kinds that concern staff alone.
     */
    public const CONCERNS = 'CASE WHEN e.addressed THEN EXISTS (SELECT 1 FROM event_addressee a
        WHERE a.lesson_id = e.lesson_id AND a.seq = e.seq AND a.student_id = :student)
        ELSE e.kind <> ALL(:quiet::text[]) END';
    /** Whether an event `e` is for a student (`:student`), as all are that are for nobody in particular. */
    public const IS_FOR = '(NOT e.addressed OR EXISTS (SELECT 1 FROM event_addressee a
        WHERE a.lesson_id = e.lesson_id AND a.seq = e.seq AND a.student_id = :student))';
    private const COLUMNS = 'e.seq, e.kind, e.at, e.actor_kind, e.actor_id, e.student_id, e.addressed, e.data,
        (SELECT jsonb_agg(a.student_id) FROM event_addressee a WHERE a.lesson_id = e.lesson_id AND a.seq = e.seq)
          AS addressees';

    public function __construct(private Connection $db, private EventNumberStore $numbers)
    {
    }

    /**
     * Holds the lesson until the transaction ends, so that its events stand in one order.
     */
    public function lock(string $lessonId): void
    {
        $this->db->executeQuery('SELECT 1 FROM lesson WHERE id = ? FOR UPDATE', [$lessonId]);
    }

    /**
     * @param string $digest of the command
     *
     * @return bool false if this command has been carried out already
     *
     * @throws LiveRefused if another one has been carried out under this key
     */
    public function isFresh(string $lessonId, string $key, string $digest): bool
    {
        if (
            1 ===
            (int) $this->db->executeStatement(
                'INSERT INTO command_key (lesson_id, id, digest) VALUES (?, ?, ?) ON CONFLICT DO NOTHING',
                [$lessonId, $key, $digest],
            )
        ) {
            return true;
        }
        if (
            $digest !==
            $this->db->fetchOne('SELECT digest FROM command_key WHERE lesson_id = ? AND id = ?', [$lessonId, $key])
        ) {
            throw LiveRefused::unusable('http.other_body');
        }

        return false;
    }

    /**
     * @param list<Event> $events
     *
     * @return int the number of the last one
     */
    public function append(string $lessonId, ?string $roundId, Actor $actor, array $events): int
    {
        $seq = $this->numbers->take($lessonId, \count($events));
        $first = $seq - \count($events) + 1;
        $rows = array_map(
            static fn (Event $event): array => [
                'kind' => $event->kind->value,
                'at' => $event->at,
                'student' => $event->data['student'] ?? null,
                'addressed' => null !== $event->to,
                'data' => (object) array_diff_key($event->data, ['student' => true]),
            ],
            $events,
        );
        $this->db->executeStatement(
            'INSERT INTO live_event (lesson_id, seq, round_id, run_id, kind, at, actor_kind, actor_id, student_id,
               addressed, data)
             SELECT :lesson, :first + e.n - 1, :round, (SELECT id FROM run WHERE lesson_id = :lesson
                      AND ended_at IS NULL), e.kind, e.at, :actor, :actor_id, e.student, e.addressed, e.data
             FROM ROWS FROM (jsonb_to_recordset(:events) AS (kind text, at bigint, student uuid, addressed boolean,
                      data jsonb)) WITH ORDINALITY AS e (kind, at, student, addressed, data, n)',
            [
                'lesson' => $lessonId,
                'first' => $first,
                'round' => $roundId,
                'actor' => $actor->kind->value,
                'actor_id' => $actor->id,
                'events' => json_encode($rows, \JSON_THROW_ON_ERROR),
            ],
        );
        $this->address($lessonId, $first, $events);

        return $seq;
    }

    /**
     * @param int         $first the number of the first of them
     * @param list<Event> $events
     */
    private function address(string $lessonId, int $first, array $events): void
    {
        $rows = [];
        foreach ($events as $i => $event) {
            foreach (array_unique($event->to ?? []) as $student) {
                $rows[] = ['seq' => $first + $i, 'student' => $student];
            }
        }
        if ([] !== $rows) {
            $this->db->executeStatement(
                'INSERT INTO event_addressee (lesson_id, seq, student_id)
                 SELECT ?, a.seq, a.student FROM jsonb_to_recordset(?) AS a (seq int, student uuid)',
                [$lessonId, json_encode($rows, \JSON_THROW_ON_ERROR)],
            );
        }
    }

    /**
     * Whether a prepared notice has been said already.
     *
     * @param int $since milliseconds since 1970
     */
    public function wasSaid(string $lessonId, string $planId, int $since): bool
    {
        return false !==
            $this->db->fetchOne(
                "SELECT 1 FROM live_event WHERE lesson_id = ? AND kind = ? AND data ->> 'plan' = ? AND at >= ? LIMIT 1",
                [$lessonId, EventKind::NoticeSaid->value, $planId, $since],
            );
    }

    /**
     * @return list<SaidNotice> the latest, newest first
     */
    public function notices(string $lessonId): array
    {
        return array_map(
            static function (Row $row): SaidNotice {
                $event = self::event($row);
                $groups = $event->text('groups');

                return new SaidNotice(
                    $row->int('seq'),
                    $event->text('text'),
                    $event->at,
                    '' === $groups ? [] : explode('|', $groups),
                    $event->to ?? [],
                    $row->int('seen'),
                );
            },
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT '.self::COLUMNS.', (SELECT COUNT(*) FROM notice_seen s
                        WHERE s.lesson_id = e.lesson_id AND s.seq = e.seq) AS seen
             FROM live_event e WHERE e.lesson_id = ? AND e.kind = ? ORDER BY e.seq DESC LIMIT '.self::NOTICES_SHOWN,
                    [$lessonId, EventKind::NoticeSaid->value],
                ),
            ),
        );
    }

    /**
     * @return array<string, true> who was there, at any time of the lesson
     */
    public function present(string $lessonId): array
    {
        /** @var list<string> $ids */
        $ids = $this->db->fetchFirstColumn(
            "SELECT DISTINCT student_id FROM live_event WHERE lesson_id = ? AND kind = ? AND student_id IS NOT NULL
                AND data ->> 'place' NOT IN (?, ?)",
            [$lessonId, EventKind::WhereaboutsChanged->value, Place::Lost->value, Place::Excused->value],
        );

        return array_fill_keys($ids, true);
    }

    /**
     * @return \Generator<int, Event> by number
     */
    public function ofRound(string $lessonId, string $roundId): \Generator
    {
        $rows = $this->db->fetchAllAssociative(
            'SELECT '.self::COLUMNS.' FROM live_event e WHERE e.lesson_id = ? AND e.round_id = ? ORDER BY e.seq',
            [$lessonId, $roundId],
        );
        foreach (Row::all($rows) as $row) {
            yield $row->int('seq') => self::event($row);
        }
    }

    /**
     * What was done, not where students were seen.
     *
     * @return list<array{seq: int, actor: Actor, event: Event}> the latest, newest first
     */
    public function latest(string $lessonId, int $most): array
    {
        return array_map(
            static fn (Row $row): array => [
                'seq' => $row->int('seq'),
                'actor' => Actor::read(ActorKind::from($row->text('actor_kind')), $row->textOrNull('actor_id')),
                'event' => self::event($row),
            ],
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT '.self::COLUMNS.' FROM live_event e WHERE e.lesson_id = ? AND e.kind <> ?
                        ORDER BY e.seq DESC LIMIT ?',
                    [$lessonId, EventKind::WhereaboutsChanged->value, $most],
                ),
            ),
        );
    }

    private static function event(Row $row): Event
    {
        $data = [];
        foreach ($row->json('data') as $key => $value) {
            if (null === $value || \is_int($value) || \is_string($value) || \is_bool($value)) {
                $data[(string) $key] = $value;
            }
        }

        $student = $row->textOrNull('student_id');
        $to = null === $row->textOrNull('addressees') ? [] : $row->json('addressees');

        return new Event(
            EventKind::from($row->text('kind')),
            $row->int('at'),
            (null === $student ? [] : ['student' => $student]) + $data,
            $row->bool('addressed') ? array_values(array_filter($to, \is_string(...))) : null,
        );
    }
}
