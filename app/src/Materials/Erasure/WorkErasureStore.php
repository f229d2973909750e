<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\TextStore;
use FreshHuddle\Core\Materials\Slot\OwnPictures;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of the work of a class. By hand: all answers of a class over a year are looked through.
 */
final readonly class WorkErasureStore
{
    private const OF_CLASS = 'JOIN work_copy c ON c.id = t.copy_id JOIN round r ON r.id = c.round_id
        JOIN lesson l ON l.id = r.lesson_id WHERE l.class_id = :class';

    public function __construct(private Connection $db, private TextStore $texts)
    {
    }

    /**
     * @return list<string> ids of pictures and recordings that nobody may need any more
     */
    public function forget(string $classId, FormerMember $student): array
    {
        $media = $this->media($student);
        foreach (['slot_answer', 'slot_revision'] as $table) {
            $this->db->executeStatement(
                "DELETE FROM {$table} WHERE owner = ? OR copy_id IN (SELECT id FROM work_copy WHERE student_id = ?)",
                [$student->id, $student->id],
            );
            $this->db->update($table, ['author' => FormerMember::NOBODY], ['author' => $student->id]);
            $this->answers($table, $classId, $student, $media);
        }
        $this->notes($classId, $student);
        $this->db->executeStatement('DELETE FROM work_copy WHERE student_id = ?', [$student->id]);
        $this->db->executeStatement('DELETE FROM copy_media WHERE by_id = ?', [$student->id]);

        return $media;
    }

    /**
     * @return list<string> what the student has put into copies, and what stands in their own
     */
    private function media(FormerMember $student): array
    {
        return array_map(
            static fn (Row $row): string => $row->text('media_id'),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT DISTINCT m.media_id FROM copy_media m JOIN work_copy c ON c.id = m.copy_id
                        WHERE m.by_id = ? OR c.student_id = ?',
                    [$student->id, $student->id],
                ),
            ),
        );
    }

    /**
     * @param list<string> $media
     */
    private function answers(string $table, string $classId, FormerMember $student, array $media): void
    {
        $this->texts->rewrite(
            $table,
            ['copy_id', 'slot', 'owner', 'revision'],
            ['text' => null],
            self::OF_CLASS,
            ['class' => $classId],
            static fn (string $text): string => $student->text(self::withoutPictures($text, $media)),
        );
    }

    /**
     * @param list<string> $media
     */
    private static function withoutPictures(string $text, array $media): string
    {
        if ([] === $media || !str_contains($text, '"media"')) {
            return $text;
        }

        return OwnPictures::without($text, $media);
    }

    private function notes(string $classId, FormerMember $student): void
    {
        $this->db->executeStatement('DELETE FROM margin_note WHERE owner = ?', [$student->id]);
        $this->db->update('margin_note', ['answered_by' => FormerMember::NOBODY], ['answered_by' => $student->id]);
        $this->texts->rewrite(
            'margin_note',
            ['id'],
            ['text' => null, 'answer' => null],
            self::OF_CLASS,
            ['class' => $classId],
            $student->text(...),
        );
        $this->texts->rewrite(
            'work_copy',
            ['id'],
            ['name' => 120],
            'JOIN round r ON r.id = t.round_id JOIN lesson l ON l.id = r.lesson_id
                WHERE l.class_id = :class AND t.student_id IS NULL',
            ['class' => $classId],
            $student->text(...),
        );
    }

    /**
     * @return list<string> ids of pictures and recordings that nobody may need any more
     */
    public function forgetClass(string $classId): array
    {
        $media = array_map(
            static fn (Row $row): string => $row->text('media_id'),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT DISTINCT t.media_id FROM copy_media t '.self::OF_CLASS,
                    ['class' => $classId],
                ),
            ),
        );
        $this->db->executeStatement(
            'DELETE FROM work_copy WHERE round_id IN (SELECT r.id FROM round r JOIN lesson l ON l.id = r.lesson_id
                WHERE l.class_id = ?)',
            [$classId],
        );

        return $media;
    }
}
