<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Forgets;
use Symfony\Component\Uid\Uuid;

/**
 * Which device speaks for which student. By hand: a claim is a race between devices that the unique indexes decide, and
 * every request of a student reads here.
 */
final readonly class StudentDeviceStore implements Forgets
{
    public const COOKIE = 'fh_student';
    /** How long a device speaks for a student, in seconds: a school day. */
    public const LASTS = 16 * 3_600;

    private const UNTIL = "now() + interval '16 hours'";

    public function __construct(private Connection $db, private Stream $stream)
    {
    }

    /**
     * Lets a device speak for a student, unless another does. A device that spoke for somebody else speaks for this one
     * from now on; where the name is not to be had, it keeps the one it has.
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
        $claimed = $this->db->transactional(function () use ($token, $studentId, &$ended): string {
            $this->db->executeQuery('SELECT 1 FROM student WHERE id = ? FOR UPDATE', [$studentId]);
            $this->db->executeStatement('DELETE FROM student_device WHERE student_id = ? AND until <= now()', [$studentId]);
            $own = $this->locked($token);
            if (null !== $own && $own->text('student_id') === $studentId) {
                $this->db->executeStatement('UPDATE student_device SET until = '.self::UNTIL.' WHERE id = ?', [$own->text('id')]);

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
        $ended = $this->db->transactional(function () use ($tokenHash, $studentId): array {
            // Who claims the name at this moment waits for this row, and finds it taken.
            $this->db->executeQuery('SELECT 1 FROM student WHERE id = ? FOR UPDATE', [$studentId]);
            $ended = $this->db->fetchFirstColumn('DELETE FROM student_device WHERE student_id = ? OR token_hash = ? RETURNING channel', [$studentId, $tokenHash]);
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
        $hash = $this->db->fetchOne('SELECT token_hash FROM student_device WHERE student_id = ? AND until > now()', [$studentId]);
        if (!\is_string($hash)) {
            return false;
        }
        $this->assign($hash, $isReallyId);

        return true;
    }

    /**
     * Whether some device has the name now.
     */
    public function isTaken(string $studentId): bool
    {
        return false !== $this->db->fetchOne('SELECT 1 FROM student_device WHERE student_id = ? AND until > now()', [$studentId]);
    }

    public function release(string $token): void
    {
        $this->freed('token_hash = ?', hash('sha256', $token));
    }

    public function free(string $studentId): void
    {
        $this->freed('student_id = ?', $studentId);
    }

    public function freeAll(string $classId): void
    {
        $this->freed('class_id = ?', $classId);
    }

    public function forgetOld(): void
    {
        $this->db->executeStatement('DELETE FROM student_device WHERE until <= now()');
    }

    public function student(string $token): ?StudentUser
    {
        $row = $this->db->fetchAssociative(
            'SELECT s.id, s.name, c.id AS class_id, c.name AS class_name, c.current_lesson_id, d.channel
             FROM student_device d JOIN student s ON s.id = d.student_id JOIN school_class c ON c.id = s.class_id
             WHERE d.token_hash = ? AND d.until > now() AND s.removed_at IS NULL AND c.archived_at IS NULL AND c.removed_at IS NULL',
            [hash('sha256', $token)],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new StudentUser($row->text('id'), $row->text('name'), $row->text('class_id'), $row->text('class_name'), $row->textOrNull('current_lesson_id'), $row->text('channel'));
    }

    private function locked(string $token): ?Row
    {
        $row = $this->db->fetchAssociative('SELECT id, student_id, channel FROM student_device WHERE token_hash = ? FOR UPDATE', [hash('sha256', $token)]);

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
            'INSERT INTO student_device (id, class_id, student_id, token_hash, channel, claimed_at, until)
             SELECT ?, s.class_id, s.id, ?, ?, now(), '.self::UNTIL.' FROM student s WHERE s.id = ?',
            [Uuid::v7()->toRfc4122(), $tokenHash, Channel::fresh(), $studentId],
        );
    }

    private function freed(string $which, string $value): void
    {
        $ended = $this->db->fetchFirstColumn("DELETE FROM student_device WHERE {$which} RETURNING channel", [$value]);
        $this->stream->end(array_values(array_filter($ended, \is_string(...))));
    }
}
