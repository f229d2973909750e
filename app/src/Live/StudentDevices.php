<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;

/**
 * Which device speaks for which student: a cookie with a random value, of which only a digest is kept here.
 */
final readonly class StudentDevices
{
    public const COOKIE = 'fh_student';

    public function __construct(private Connection $db)
    {
    }

    /**
     * Lets a device speak for a student, unless another does already.
     *
     * @return string|null the cookie's value; null if the name is taken
     */
    public function claim(string $studentId): ?string
    {
        $token = bin2hex(random_bytes(32));
        $done = $this->db->executeStatement(
            'INSERT INTO student_device (student_id, token_hash) VALUES (?, ?) ON CONFLICT DO NOTHING',
            [$studentId, hash('sha256', $token)],
        );

        return 0 === $done ? null : $token;
    }

    public function release(string $token): void
    {
        $this->db->executeStatement('DELETE FROM student_device WHERE token_hash = ?', [hash('sha256', $token)]);
    }

    public function student(string $token): ?StudentUser
    {
        $row = $this->db->fetchAssociative(
            'SELECT s.id, s.name, c.id AS class_id, c.name AS class_name, c.current_lesson_id
             FROM student_device d JOIN student s ON s.id = d.student_id JOIN school_class c ON c.id = s.class_id
             WHERE d.token_hash = ? AND s.removed_at IS NULL',
            [hash('sha256', $token)],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new StudentUser($row->text('id'), $row->text('name'), $row->text('class_id'), $row->text('class_name'), $row->textOrNull('current_lesson_id'));
    }
}
