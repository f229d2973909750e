<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Record\Fact\GroupFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SeatFact;

/**
 * The runs of a lesson with their groups, and who sat where from when to when. By hand: one round trip each.
 */
final readonly class RunFactReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @param array<string, list<array{string, string|null, int}>> $moves by run (EventFacts)
     * @param int                                                  $end   when the lesson was over, or now
     *
     * @return list<RunFact>
     */
    public function runs(string $lessonId, array $moves, int $end): array
    {
        return $this->ofLessons([$lessonId => $end], $moves)[$lessonId];
    }

    /**
     * @param array<string, int>                                   $ends  when each lesson was over, or now, by lesson
     * @param array<string, list<array{string, string|null, int}>> $moves by run (EventFacts)
     *
     * @return array<string, list<RunFact>> by lesson
     */
    public function ofLessons(array $ends, array $moves): array
    {
        $lessons = '{'.implode(',', array_keys($ends)).'}';
        $groups = $seats = [];
        foreach ($this->groups($lessons) as $row) {
            $groups[$row->text('run_id')][] = new GroupFact($row->text('id'), $row->text('name'), $row->int('mark'));
        }
        foreach ($this->seats($lessons) as $row) {
            $seats[$row->text('run_id')][$row->text('student_id')] = $row->text('group_id');
        }
        $runs = array_map(static fn (): array => [], $ends);
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT u.id, u.lesson_id, r.number, u.out_at, u.ended_at FROM run u
                        JOIN round r ON r.id = u.round_id
                     WHERE u.lesson_id = ANY(?::uuid[]) AND NOT u.taken_back ORDER BY u.out_at, u.attempt',
                    [$lessons],
                ),
            ) as $row
        ) {
            $id = $row->text('id');
            $end = $ends[$row->text('lesson_id')];
            $from = min($end, $row->int('out_at'));
            $to = max($from, min($end, $row->intOrNull('ended_at') ?? $end));
            $runs[$row->text('lesson_id')][] = new RunFact(
                $id,
                $row->intOrNull('number') ?? 1,
                $from,
                $to,
                $groups[$id] ?? [],
                self::seatFacts($seats[$id] ?? [], $moves[$id] ?? [], $from, $to),
            );
        }

        return $runs;
    }

    /**
     * @return array<string, string> names as they were then, by student
     */
    public function names(string $lessonId): array
    {
        /** @var array<string, string> $names */
        $names = $this->db->fetchAllKeyValue(
            'SELECT s.student_id, s.name FROM run_last_seat s JOIN run u ON u.id = s.run_id
             WHERE u.lesson_id = ? AND NOT u.taken_back ORDER BY u.out_at',
            [$lessonId],
        );

        return $names;
    }

    /**
     * @param array<string, string>                $first  groups by student, as they were sent out
     * @param list<array{string, string|null, int}> $moves
     *
     * @return list<SeatFact>
     */
    private static function seatFacts(array $first, array $moves, int $from, int $to): array
    {
        $now = array_map(static fn (string $group): array => [$group, $from], $first);
        $seats = [];
        foreach ($moves as [$student, $group, $at]) {
            $at = min($to, max($from, $at));
            if (isset($now[$student]) && $now[$student][1] < $at) {
                $seats[] = new SeatFact($student, $now[$student][0], $now[$student][1], $at);
            }
            unset($now[$student]);
            if (null !== $group) {
                $now[$student] = [$group, $at];
            }
        }
        foreach ($now as $student => [$group, $since]) {
            if ($since < $to) {
                $seats[] = new SeatFact((string) $student, $group, $since, $to);
            }
        }
        usort(
            $seats,
            static fn (SeatFact $one, SeatFact $other): int => [$one->from, $one->student]
                <=> [$other->from, $other->student],
        );

        return $seats;
    }

    /**
     * @param string $lessons ids, as an array of PostgreSQL
     *
     * @return list<Row>
     */
    private function groups(string $lessons): array
    {
        return Row::all(
            $this->db->fetchAllAssociative(
                'SELECT g.run_id, COALESCE(g.group_id, g.id) AS id, g.last_name AS name, g.mark FROM run_group g
                    JOIN run u ON u.id = g.run_id WHERE u.lesson_id = ANY(?::uuid[]) ORDER BY g.position',
                [$lessons],
            ),
        );
    }

    /**
     * @param string $lessons ids, as an array of PostgreSQL
     *
     * @return list<Row>
     */
    private function seats(string $lessons): array
    {
        return Row::all(
            $this->db->fetchAllAssociative(
                'SELECT s.run_id, s.student_id, COALESCE(g.group_id, g.id) AS group_id FROM run_seat s
                    JOIN run_group g ON g.id = s.run_group_id JOIN run u ON u.id = s.run_id
                    WHERE u.lesson_id = ANY(?::uuid[])',
                [$lessons],
            ),
        );
    }
}
