<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Materials\Media\MediaUseStore;
use FreshHuddle\Core\Materials\CopyDue;
use Symfony\Component\Uid\Uuid;

/**
 * Makes copies. By hand: up to 1,200 of them at once, each made where it is missing and brought up to date where nobody
 * has written, while the original is held.
 */
final readonly class CopyStore
{
    public function __construct(private Connection $db, private MediaUseStore $uses, private Transaction $transaction)
    {
    }

    /**
     * @param list<array{due: CopyDue, name: string, pages: string}> $copies `pages`: as they are kept
     * @param bool                                                   $bring whether those that are there are brought up
     *     to date
     *
     * @return array{array<string, string>, int, list<string>} ids of those that were made, by `group|student`; how many
     *     were brought up to date; and the names of those left alone because somebody has written in them
     */
    public function make(
        string $roundId,
        string $originalId,
        int $version,
        string $title,
        array $copies,
        bool $bring = true,
    ): array {
        $made = $kept = [];
        $brought = 0;
        $this->transaction->run(function () use (
            $roundId,
            $originalId,
            $version,
            $title,
            $copies,
            $bring,
            &$made,
            &$brought,
            &$kept,
        ): void {
            $this->db->executeQuery('SELECT 1 FROM original WHERE id = ? FOR UPDATE', [$originalId]);
            $there = $this->there($roundId, $originalId);
            foreach ($copies as ['due' => $due, 'name' => $name, 'pages' => $pages]) {
                $copy = $there["{$due->group}|{$due->student}"] ?? null;
                if (null === $copy) {
                    $id = $this->insert([$roundId, $originalId, $version], $due, $name, [$title, $pages]);
                    $made["{$due->group}|{$due->student}"] = $id;
                    continue;
                }
                if (!$bring) {
                    continue;
                }
                $same = $copy->int('original_version') === $version && $copy->text('variant') === $due->variant;
                if (!$same && $copy->bool('written')) {
                    $kept[] = $name;
                    $this->db->update(
                        'work_copy',
                        ['name' => $name, 'way' => $due->way->value],
                        ['id' => $copy->text('id')],
                    );
                } elseif (!$same || $copy->text('name') !== $name || $copy->text('way') !== $due->way->value) {
                    $this->db->update(
                        'work_copy',
                        [
                            'name' => $name,
                            'way' => $due->way->value,
                            'variant' => $due->variant,
                            'title' => $title,
                            'pages' => $pages,
                            'original_version' => $version,
                        ],
                        ['id' => $copy->text('id')],
                    );
                    $brought += $same ? 0 : 1;
                }
            }
            $this->uses->ofCopies($roundId, $originalId);
        });

        return [$made, $brought, $kept];
    }

    /**
     * @param array{string, string, int} $of   the round, the original and its version
     * @param array{string, string}      $what the title and the pages, as JSON
     *
     * @return string its id
     */
    private function insert(array $of, CopyDue $due, string $name, array $what): string
    {
        $id = Uuid::v7()->toRfc4122();
        $this->db->executeStatement(
            'INSERT INTO work_copy (id, round_id, original_id, original_version, group_id, student_id, way, variant,
                name, title, pages) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
            [$id, ...$of, $due->group, $due->student, $due->way->value, $due->variant, $name, ...$what],
        );

        return $id;
    }

    /**
     * The copies of an original that groups and students wrote in when the lesson was that this round's was begun from;
     * of several rounds the last.
     *
     * @return array<string, array{id: string, pages: array<array-key, mixed>, worked: list<string>}> by `group|student`
     */
    public function earlier(string $roundId, string $originalId): array
    {
        $earlier = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT c.id, c.group_id, c.student_id, c.pages, w.worked FROM work_copy c
                        JOIN round r ON r.id = c.round_id JOIN lesson l ON l.id = r.lesson_id
             CROSS JOIN LATERAL (SELECT jsonb_agg(DISTINCT a.slot) AS worked FROM slot_answer a WHERE a.copy_id = c.id
               AND a.text <> '') w
             WHERE c.original_id = :original AND w.worked IS NOT NULL
               AND EXISTS (SELECT 1 FROM round t JOIN lesson n ON n.id = t.lesson_id WHERE t.id = :round
                 AND n.begun_from_id = l.id AND n.class_id = l.class_id)
             ORDER BY r.number NULLS FIRST, c.id",
                    ['round' => $roundId, 'original' => $originalId],
                ),
            ) as $row
        ) {
            $earlier["{$row->textOrNull('group_id')}|{$row->textOrNull('student_id')}"] = [
                'id' => $row->text('id'),
                'pages' => $row->json('pages'),
                'worked' => array_values(array_filter($row->json('worked'), \is_string(...))),
            ];
        }

        return $earlier;
    }

    /**
     * What a copy holds: its pages, and in which slots somebody has worked.
     *
     * @return array{pages: array<array-key, mixed>, worked: list<string>}
     */
    public function held(string $copyId): array
    {
        $row = $this->db->fetchAssociative(
            "SELECT c.pages, (SELECT jsonb_agg(DISTINCT a.slot) FROM slot_answer a WHERE a.copy_id = c.id
                AND a.text <> '') AS worked FROM work_copy c WHERE c.id = ?",
            [$copyId],
        );
        $row = new Row(false === $row ? [] : $row);

        return [
            'pages' => $row->json('pages'),
            'worked' => null === $row->textOrNull('worked')
                    ? []
                    : array_values(array_filter($row->json('worked'), \is_string(...))),
        ];
    }

    /**
     * Copies that nobody gets any more, with all that was written in them.
     *
     * @param list<string> $copyIds
     */
    public function takeAway(string $roundId, array $copyIds): void
    {
        $this->db->executeStatement('DELETE FROM work_copy WHERE round_id = ? AND id = ANY(?::uuid[])', [
            $roundId,
            '{'.implode(',', $copyIds).'}',
        ]);
    }

    public function put(string $copyId, int $version, string $variant, string $title, string $pages): void
    {
        $this->db->update(
            'work_copy',
            ['original_version' => $version, 'variant' => $variant, 'title' => $title, 'pages' => $pages],
            ['id' => $copyId],
        );
    }

    /**
     * @return array<string, Row> the copies of a round, by `group|student`; held until the transaction ends
     */
    public function there(string $roundId, string $originalId): array
    {
        $there = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT c.id, c.group_id, c.student_id, c.original_version, c.variant, c.name, c.way, EXISTS (
                        SELECT 1 FROM slot_answer a WHERE a.copy_id = c.id AND a.text <> '') AS written
             FROM work_copy c WHERE c.round_id = ? AND c.original_id = ? FOR UPDATE OF c",
                    [$roundId, $originalId],
                ),
            ) as $row
        ) {
            $there["{$row->textOrNull('group_id')}|{$row->textOrNull('student_id')}"] = $row;
        }

        return $there;
    }
}
