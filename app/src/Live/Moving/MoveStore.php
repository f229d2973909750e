<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Rooms\Member\Guests;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Moving\Move;
use FreshHuddle\Core\Live\Moving\Moves;

/**
 * Keeps who was taken aside, put back or fetched. By hand: read and written while the lesson's row is held, and read
 * with every look at a lesson that is on.
 */
final readonly class MoveStore implements Guests
{
    public function __construct(private Connection $db, private Clock $clock)
    {
    }

    public function forRound(string $roundId): Moves
    {
        $moves = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT * FROM student_move
                WHERE round_id = ?',
                    [$roundId],
                ),
            ) as $row
        ) {
            $moves[$row->text('student_id')] = new Move(
                $row->textOrNull('place'),
                $row->int('from_at'),
                $row->textOrNull('was'),
                $row->intOrNull('fetched_at'),
                Help::tryFrom($row->textOrNull('help') ?? ''),
            );
        }

        return new Moves($moves);
    }

    /**
     * @param Moves $before as they stand there
     */
    public function put(string $roundId, Moves $before, Moves $after): void
    {
        foreach (array_diff_key($before->students, $after->students) as $id => $gone) {
            $this->db->delete('student_move', ['round_id' => $roundId, 'student_id' => $id]);
        }
        foreach ($after->students as $id => $student) {
            if (!isset($before->students[$id]) || !$before->students[$id]->equals($student)) {
                $this->db->executeStatement(
                    'INSERT INTO student_move (round_id, student_id, place, from_at, was, fetched_at, help)
                        VALUES (?, ?, ?, ?, ?, ?, ?)
                     ON CONFLICT (round_id, student_id) DO UPDATE SET place = EXCLUDED.place,
                       from_at = EXCLUDED.from_at, was = EXCLUDED.was, fetched_at = EXCLUDED.fetched_at,
                       help = EXCLUDED.help',
                    [
                        $roundId,
                        (string) $id,
                        $student->place,
                        $student->from,
                        $student->was,
                        $student->fetchedAt,
                        $student->help?->value,
                    ],
                );
            }
        }
    }

    public function in(string $sideRoomId): array
    {
        $guests = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT m.student_id, m.place, m.from_at, '.Moments::COLUMNS.' FROM student_move m
                        JOIN round r ON r.id = m.round_id JOIN lesson l ON l.id = r.lesson_id
                        JOIN school_class c ON c.current_lesson_id = l.id
             WHERE ? IN (m.place, m.was) AND l.ended_at IS NULL',
                    [$sideRoomId],
                ),
            ) as $row
        ) {
            // Who is on the way to another place may stay until then.
            $isHere = $row->textOrNull('place') === $sideRoomId || $this->clock->ms() < $row->int('from_at');
            if ($isHere && Moments::fromRow($row)->phase($this->clock->ms())->isUnderWay()) {
                $guests[] = $row->text('student_id');
            }
        }

        return $guests;
    }

    /**
     * @return list<string> ids of the side rooms somebody was taken to in a round
     */
    public function sideRooms(string $roundId): array
    {
        return array_values(
            array_filter(
                $this->db->fetchFirstColumn(
                    'SELECT DISTINCT m.place FROM student_move m JOIN room r ON r.id::text = m.place
                        WHERE m.round_id = ?',
                    [$roundId],
                ),
                \is_string(...),
            ),
        );
    }
}
