<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Kept;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of records that came with a class. By hand: they are documents.
 */
final readonly class KeptErasureStore
{
    /** What is about the student alone, by the field that says who. */
    private const OWN = ['students' => 'id', 'signs' => 'student', 'calledOn' => 'student', 'exits' => 'student'];

    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT k.lesson_id, k.file FROM kept_record k JOIN lesson l ON l.id = k.lesson_id
                        WHERE l.class_id = ?',
                    [$classId],
                ),
            ) as $row
        ) {
            $file = $row->json('file');
            $file['corrections'] = self::others($file['corrections'] ?? [], 'student', $student->id);
            if (\is_array($file['facts'] ?? null)) {
                foreach (self::OWN as $list => $field) {
                    $file['facts'][$list] = self::others($file['facts'][$list] ?? [], $field, $student->id);
                }
                $runs = $file['facts']['runs'] ?? [];
                $file['facts']['runs'] = array_map(
                    static fn (mixed $run): mixed => \is_array($run)
                        ? ['seats' => self::others($run['seats'] ?? [], 'student', $student->id)] + $run
                        : $run,
                    \is_array($runs) ? $runs : [],
                );
            }
            $this->db->update(
                'kept_record',
                ['file' => json_encode($student->inside($file), \JSON_THROW_ON_ERROR)],
                ['lesson_id' => $row->text('lesson_id')],
            );
        }
    }

    /**
     * @return list<mixed>
     */
    private static function others(mixed $list, string $field, string $id): array
    {
        return array_values(
            array_filter(
                \is_array($list) ? $list : [],
                static fn (mixed $one): bool => !\is_array($one) || ($one[$field] ?? null) !== $id,
            ),
        );
    }
}
