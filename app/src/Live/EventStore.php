<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
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

    public function __construct(private Connection $db)
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
     * @return bool false if a command with this key has been carried out already
     */
    public function isFresh(string $lessonId, string $key): bool
    {
        return 1 === (int) $this->db->executeStatement('INSERT INTO command_key (lesson_id, id) VALUES (?, ?) ON CONFLICT DO NOTHING', [$lessonId, $key]);
    }

    /**
     * @param list<Event> $events
     *
     * @return int the number of the last one
     */
    public function append(string $lessonId, ?string $roundId, string $actor, array $events): int
    {
        $seq = $this->db->fetchOne('UPDATE lesson SET event_seq = event_seq + ? WHERE id = ? RETURNING event_seq', [\count($events), $lessonId]);
        \assert(\is_int($seq));
        foreach ($events as $i => $event) {
            $this->db->executeStatement(
                'INSERT INTO live_event (lesson_id, seq, round_id, run_id, kind, at, actor, data)
                 VALUES (:lesson, :seq, :round, (SELECT id FROM run WHERE lesson_id = :lesson AND ended_at IS NULL), :kind, :at, :actor, :data)',
                [
                    'lesson' => $lessonId, 'seq' => $seq - \count($events) + 1 + $i, 'round' => $roundId, 'kind' => $event->kind->value,
                    'at' => $event->at, 'actor' => $actor, 'data' => json_encode((object) $event->data, \JSON_THROW_ON_ERROR),
                ],
            );
        }

        return $seq;
    }

    /**
     * @return list<NoticeView> the latest, newest first
     */
    public function notices(string $lessonId): array
    {
        return array_map(static function (Row $row): NoticeView {
            $text = $row->json('data')['text'] ?? '';
            $group = $row->json('data')['group'] ?? null;

            return new NoticeView($row->int('seq'), \is_string($text) ? $text : '', $row->int('at'), \is_string($group) ? $group : null);
        }, Row::all($this->db->fetchAllAssociative(
            'SELECT seq, at, data FROM live_event WHERE lesson_id = ? AND kind = ? ORDER BY seq DESC LIMIT '.self::NOTICES_SHOWN,
            [$lessonId, EventKind::NoticeSaid->value],
        )));
    }

    /**
     * @return array<string, true> who was there, at any time of the lesson
     */
    public function present(string $lessonId): array
    {
        /** @var list<string> $ids */
        $ids = $this->db->fetchFirstColumn(
            "SELECT DISTINCT data ->> 'student' FROM live_event WHERE lesson_id = ? AND kind = ? AND data ->> 'place' NOT IN (?, ?)",
            [$lessonId, EventKind::WhereaboutsChanged->value, Place::Lost->value, Place::Excused->value],
        );

        return array_fill_keys($ids, true);
    }

    /**
     * @return \Generator<int, Event> by number
     */
    public function ofRound(string $lessonId, string $roundId): \Generator
    {
        $rows = $this->db->fetchAllAssociative('SELECT * FROM live_event WHERE lesson_id = ? AND round_id = ? ORDER BY seq', [$lessonId, $roundId]);
        foreach (Row::all($rows) as $row) {
            $data = [];
            foreach ($row->json('data') as $key => $value) {
                if (null === $value || \is_int($value) || \is_string($value) || \is_bool($value)) {
                    $data[(string) $key] = $value;
                }
            }
            yield $row->int('seq') => new Event(EventKind::from($row->text('kind')), $row->int('at'), $data);
        }
    }
}
