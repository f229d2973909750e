<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Grouping\Floor;

/**
 * Keeps sign-ups. By hand: a whole class presses within seconds, and who gets the last seat is decided on the grouping's
 * row while it is held.
 */
final readonly class SignUpStore
{
    public function __construct(private Connection $db, private FloorStore $floors)
    {
    }

    public function state(string $groupingId): ?SignUpState
    {
        $json = $this->db->fetchOne('SELECT sign_up FROM grouping WHERE id = ?', [$groupingId]);

        return \is_string($json) ? self::read($json) : null;
    }

    public function keep(string $groupingId, ?SignUpState $state): void
    {
        $this->db->update('grouping', ['sign_up' => null === $state ? null : json_encode($state, \JSON_THROW_ON_ERROR)], ['id' => $groupingId]);
    }

    /**
     * @param int $at when nobody takes a seat any more; milliseconds since 1970
     */
    public function stop(string $groupingId, int $at): void
    {
        $this->db->executeStatement("UPDATE grouping SET sign_up = jsonb_set(sign_up, '{closesAt}', to_jsonb(?::bigint)) WHERE id = ? AND sign_up IS NOT NULL", [$at, $groupingId]);
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
        return $this->db->transactional(function () use ($groupingId, $seat): array {
            $row = $this->db->fetchAssociative('SELECT step, sign_up FROM grouping WHERE id = ? FOR UPDATE', [$groupingId]);
            $row = new Row(false === $row ? throw GroupingRefused::missing() : $row);
            $before = $this->floors->now($groupingId);
            $after = $seat(null === $row->textOrNull('sign_up') ? null : self::read($row->text('sign_up')), $before);
            if (!$after->equals($before)) {
                $this->floors->append($groupingId, $row->int('step'), 'signUp', $after);
            }

            return [$before, $after];
        });
    }

    /**
     * @return SignUpState|null null where there is none, or it is not for this student
     */
    public function openFor(StudentUser $student, string $groupingId): ?SignUpState
    {
        $json = $this->db->fetchOne(
            'SELECT g.sign_up FROM grouping g JOIN student s ON s.id = ? AND s.class_id = g.class_id AND s.seatable AND NOT s.absent WHERE g.id = ?',
            [$student->id, $groupingId],
        );

        return \is_string($json) ? self::read($json) : null;
    }

    public function classOf(string $groupingId): ?string
    {
        $class = $this->db->fetchOne('SELECT class_id FROM grouping WHERE id = ?', [$groupingId]);

        return \is_string($class) ? $class : null;
    }

    private static function read(string $json): SignUpState
    {
        $data = json_decode($json, true, 4, \JSON_THROW_ON_ERROR);
        $seats = \is_array($data) ? $data['seats'] ?? null : null;
        $closesAt = \is_array($data) ? $data['closesAt'] ?? null : null;

        return new SignUpState(\is_int($seats) ? $seats : 4, \is_int($closesAt) ? $closesAt : null);
    }
}
