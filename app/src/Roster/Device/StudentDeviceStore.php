<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\PurgesExpired;
use Symfony\Component\Uid\Uuid;

/**
 * Which device speaks for which student; of some classes two may. By hand: a claim is a race between devices that the
 * unique indexes decide, and every request of a student reads here.
 */
final readonly class StudentDeviceStore implements PurgesExpired
{
    public const COOKIE = 'fh_student';
    /** How long a device speaks for a student, in seconds: a school day. */
    public const LASTS = 16 * 3_600;

    private const UNTIL = "now() + interval '16 hours'";

    public function __construct(private Connection $db, private Stream $stream, private Transaction $transaction)
    {
    }

    /**
     * Lets a device speak for a student, unless as many do as may. A device that spoke for somebody else speaks for
     * this one from now on; where the name is not to be had, it keeps the one it has.
     *
     * @param string $token the device's cookie; '' for none
     *
     * @return string the cookie's value from now on
     *
     * @throws NameTaken
     */
    public function claim(string $token, string $studentId): string
    {
        $ended = null;
        $claimed = $this->transaction->run(function () use ($token, $studentId, &$ended): string {
            $this->db->executeQuery('SELECT 1 FROM student WHERE id = ? FOR UPDATE', [$studentId]);
            $this->db->executeStatement('DELETE FROM student_device WHERE student_id = ? AND until <= now()', [
                $studentId,
            ]);
            $own = $this->locked($token);
            if (null !== $own && $own->text('student_id') === $studentId) {
                $this->db->executeStatement('UPDATE student_device SET until = '.self::UNTIL.' WHERE id = ?', [
                    $own->text('id'),
                ]);

                return $token;
            }
            $this->put($own?->text('id'), $fresh = bin2hex(random_bytes(32)), $studentId);
            $ended = $own?->text('channel');

            return $fresh;
        });
        $this->stream->end(null === $ended ? [] : [$ended]);

        return $claimed;
    }

    /**
     * The teacher has said who is at a device: whoever else had the name, or whatever name the device had, gives it up.
     *
     * @param string $tokenHash digest of the device's cookie
     */
    public function assign(string $tokenHash, string $studentId): void
    {
        $ended = $this->transaction->run(function () use ($tokenHash, $studentId): array {
            // Who claims the name at this moment waits for this row, and finds it taken.
            $this->db->executeQuery('SELECT 1 FROM student WHERE id = ? FOR UPDATE', [$studentId]);
            $this->db->executeStatement('DELETE FROM student_device WHERE student_id = ? AND until <= now()', [
                $studentId,
            ]);
            $ended = [
                ...$this->removed('token_hash = ?', $tokenHash, null),
                // Where there is room for a second device, the first one stays.
                ...null === $this->freeSlot($studentId)
                    ? $this->removed('student_id = ?', $studentId, DeviceEnd::OtherDevice)
                    : [],
            ];
            $this->insert($tokenHash, $studentId);

            return $ended;
        });
        $this->stream->end(array_values(array_filter($ended, \is_string(...))));
    }

    /**
     * The device that speaks for one student is another's: it speaks for that one from now on.
     *
     * @return bool whether there was such a device
     */
    public function correct(string $studentId, string $isReallyId): bool
    {
        $hash = $this->db->fetchOne(
            'SELECT token_hash FROM student_device WHERE student_id = ? AND until > now() ORDER BY claimed_at DESC
                LIMIT 1',
            [$studentId],
        );
        if (!\is_string($hash)) {
            return false;
        }
        $this->assign($hash, $isReallyId);

        return true;
    }

    /**
     * Whether as many devices have the name now as may.
     */
    public function isTaken(string $studentId): bool
    {
        return null === $this->freeSlot($studentId);
    }

    public function release(string $token): void
    {
        $this->freed('token_hash = ?', hash('sha256', $token), null);
    }

    public function free(string $studentId): void
    {
        $this->freed('student_id = ?', $studentId, DeviceEnd::Freed);
    }

    public function freeAll(string $classId): void
    {
        $this->freed('class_id = ?', $classId, DeviceEnd::Freed);
    }

    public function forgetOld(): void
    {
        $this->db->executeStatement('DELETE FROM student_device WHERE until <= now()');
        $this->db->executeStatement("DELETE FROM ended_device WHERE at < now() - interval '16 hours'");
    }

    public function student(string $token): ?StudentUser
    {
        $row = $this->db->fetchAssociative(
            'SELECT s.id, s.name, c.id AS class_id, c.name AS class_name, c.current_lesson_id, d.channel,
                c.cannot_read_yet, c.language, s.picture
             FROM student_device d JOIN student s ON s.id = d.student_id JOIN school_class c ON c.id = s.class_id
             WHERE d.token_hash = ? AND d.until > now() AND s.removed_at IS NULL AND c.archived_at IS NULL
               AND c.removed_at IS NULL',
            [hash('sha256', $token)],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new StudentUser(
            $row->text('id'),
            $row->text('name'),
            $row->text('class_id'),
            $row->text('class_name'),
            $row->textOrNull('current_lesson_id'),
            $row->text('channel'),
            $row->bool('cannot_read_yet') ? new Young($row->intOrNull('picture'), $row->text('language')) : null,
        );
    }

    private function locked(string $token): ?Row
    {
        $row = $this->db->fetchAssociative(
            'SELECT id, student_id, channel FROM student_device WHERE token_hash = ? FOR UPDATE',
            [hash('sha256', $token)],
        );

        return false === $row ? null : new Row($row);
    }

    /**
     * @throws NameTaken
     */
    private function put(?string $instead, string $token, string $studentId): void
    {
        try {
            if (null !== $instead) {
                $this->db->executeStatement('DELETE FROM student_device WHERE id = ?', [$instead]);
            }
            $this->insert(hash('sha256', $token), $studentId);
        } catch (UniqueConstraintViolationException) {
            throw new NameTaken();
        }
    }

    private function insert(string $tokenHash, string $studentId): void
    {
        $this->db->executeStatement(
            'INSERT INTO student_device (id, class_id, student_id, token_hash, channel, claimed_at, until, slot)
             SELECT ?, s.class_id, s.id, ?, ?, now(), '.
                self::UNTIL.
                ', ? FROM student s WHERE s.id = ?',
            [Uuid::v7()->toRfc4122(), $tokenHash, Channel::fresh(), $this->freeSlot($studentId) ?? 1, $studentId],
        );
        $this->db->executeStatement('DELETE FROM ended_device WHERE token_hash = ?', [$tokenHash]);
    }

    private function freed(string $which, string $value, ?DeviceEnd $why): void
    {
        $this->stream->end($this->transaction->run(fn (): array => $this->removed($which, $value, $why)));
    }

    /**
     * @param DeviceEnd|null $why what their pages say; null: nothing, they know
     *
     * @return list<string> channels of the devices that are out
     */
    private function removed(string $which, string $value, ?DeviceEnd $why): array
    {
        if (null !== $why) {
            $this->db->executeStatement(
                "INSERT INTO ended_device (token_hash, name, why, at)
                 SELECT d.token_hash, s.name, ?, now() FROM student_device d JOIN student s ON s.id = d.student_id
                   WHERE d.{$which}
                 ON CONFLICT (token_hash) DO UPDATE SET name = EXCLUDED.name, why = EXCLUDED.why, at = EXCLUDED.at",
                [$why->value, $value],
            );
        }

        return array_values(
            array_filter(
                $this->db->fetchFirstColumn("DELETE FROM student_device WHERE {$which} RETURNING channel", [$value]),
                \is_string(...),
            ),
        );
    }

    /**
     * Why a device is out that spoke for a student.
     *
     * @return array{DeviceEnd, string}|null why, and whose name it had; null where nothing is known of it
     */
    public function ended(string $token): ?array
    {
        $row = $this->db->fetchAssociative('SELECT name, why FROM ended_device WHERE token_hash = ?', [
            hash('sha256', $token),
        ]);
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return [DeviceEnd::from($row->text('why')), $row->text('name')];
    }

    /**
     * @return int|null which device another one of a student would be; null where no more may be
     */
    private function freeSlot(string $studentId): ?int
    {
        $slot = $this->db->fetchOne(
            'SELECT n FROM generate_series(1, (SELECT CASE WHEN c.two_devices THEN 2 ELSE 1 END FROM student s
                JOIN school_class c ON c.id = s.class_id WHERE s.id = :student)) n
             WHERE NOT EXISTS (SELECT 1 FROM student_device d WHERE d.student_id = :student AND d.slot = n
               AND d.until > now()) ORDER BY n LIMIT 1',
            ['student' => $studentId],
        );

        return \is_int($slot) ? $slot : null;
    }
}
