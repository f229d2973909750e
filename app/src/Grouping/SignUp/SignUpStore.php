<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Grouping\Floor;

/**
 * Seats students of a sign-up, and tells a student of it. By hand: a whole class presses within seconds, and who gets
 * the last seat is decided on the grouping's row while it is held.
 */
final readonly class SignUpStore
{
    public function __construct(private Connection $db, private FloorStore $floors, private Transaction $transaction)
    {
    }

    /**
     * Seats somebody while the grouping is held, so that two who press at once come one after the other.
     *
     * @param callable(SignUpState|null, Floor): Floor $seat
     *
     * @return array{Floor, Floor} before and after
     */
    public function seat(string $groupingId, callable $seat): array
    {
        return $this->transaction->run(function () use ($groupingId, $seat): array {
            $step = $this->db->fetchOne('SELECT step FROM grouping WHERE id = ? FOR UPDATE', [$groupingId]);
            $open = $this->db->fetchAssociative(
                'SELECT seats, closes_at FROM sign_up WHERE grouping_id = ? AND ended_at IS NULL',
                [$groupingId],
            );
            $before = $this->floors->now($groupingId);
            $after = $seat(self::read($open), $before);
            if (!$after->equals($before)) {
                $this->floors->append(
                    $groupingId,
                    \is_int($step) ? $step : throw GroupingRefused::missing(),
                    'signUp',
                    $after,
                );
            }

            return [$before, $after];
        });
    }

    /**
     * @return SignUpState|null null where there is none, or it is not for this student
     */
    public function openFor(StudentUser $student, string $groupingId): ?SignUpState
    {
        return self::read(
            $this->db->fetchAssociative(
                'SELECT o.seats, o.closes_at FROM sign_up o JOIN grouping g ON g.id = o.grouping_id
             JOIN student s ON s.id = ? AND s.class_id = g.class_id AND s.seatable AND NOT s.absent
               WHERE o.grouping_id = ? AND o.ended_at IS NULL',
                [$student->id, $groupingId],
            ),
        );
    }

    public function classOf(string $groupingId): ?string
    {
        $class = $this->db->fetchOne('SELECT class_id FROM grouping WHERE id = ?', [$groupingId]);

        return \is_string($class) ? $class : null;
    }

    /**
     * @param array<string, mixed>|false $row
     */
    private static function read(array|false $row): ?SignUpState
    {
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new SignUpState($row->int('seats'), $row->intOrNull('closes_at'));
    }
}
