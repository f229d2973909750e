<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Worker\PurgesExpired;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\CopyTime;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\Slot\SlotKind;
use FreshHuddle\Core\Materials\Slot\Written;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/**
 * Saves slots. By hand: it is what happens most, hundreds of times a second, and two who write in one slot come one
 * after the other on its row.
 */
final readonly class SlotStore implements PurgesExpired
{
    /** Saves of one author that follow each other within so long are one stretch of the history. Milliseconds. */
    private const STRETCH = 30_000;
    /** No page sends a save again after so long: it keeps what is unsaved for a school week at most. Milliseconds. */
    private const SENT_AGAIN_FOR = 7 * 86_400_000;
    /** Signs a slot holds, whatever was merged to make them. */
    private const MOST = 20_000;

    public function __construct(
        private Connection $db,
        private Clock $clock,
        #[Target('overflows')]
        private RateLimiterFactoryInterface $overflows,
        private Transaction $transaction,
    ) {
    }

    public function forgetOld(): void
    {
        $this->db->executeStatement('DELETE FROM slot_save WHERE at < ?', [
            $this->clock->ms() - self::SENT_AGAIN_FOR,
        ]);
    }

    /**
     * @param bool $apart it is a step of its own in the history, whoever wrote last
     *
     * @return array{string|null, AnswerView} what stood there before, null if this save was done before; and what
     *     stands there now
     */
    public function save(
        string $copyId,
        Block $block,
        SlotKind $kind,
        string $owner,
        string $author,
        SaveSlot $save,
        bool $apart = false,
    ): array {
        $written = $this->transaction->run(
            fn (): ?array => $this->write($copyId, $block, $kind, $owner, $author, $save, $apart),
        );
        if (null !== $written) {
            return $written;
        }
        $row = $this->db->fetchAssociative('SELECT * FROM slot_answer WHERE copy_id = ? AND slot = ? AND owner = ?', [
            $copyId,
            $block->id,
            $owner,
        ]);

        return [
            null,
            WorkReader::answer(new Row(false === $row ? throw MaterialsRefused::missing() : $row))->in($block),
        ];
    }

    /**
     * A copy begins with what stands in another of the same group or student; that one stays as it is.
     *
     * @param list<string>|null $owners whose own answers come along beside those written together; null: everybody's
     */
    public function goOn(string $fromCopy, string $toCopy, ?array $owners = null): void
    {
        $this->db->executeStatement(
            "INSERT INTO slot_answer (copy_id, slot, owner, text, revision, author, at, share)
             SELECT :to, slot, CASE WHEN owner = copy_id THEN :to ELSE owner END, text, 1, author, at, share
               FROM slot_answer
             WHERE copy_id = :from AND text <> '' AND (:all OR owner = copy_id OR owner = ANY(:owners::uuid[]))",
            [
                'to' => $toCopy,
                'from' => $fromCopy,
                'all' => null === $owners ? 't' : 'f',
                'owners' => '{'.implode(',', $owners ?? []).'}',
            ],
        );
    }

    /**
     * A copy, and whose it is: of those who sit at its table while groups are out, or sat there when that ended.
     *
     * @return array{lesson: string, time: CopyTime, way: HandOutWay, members: list<Member>, pages: array<array-key,
     *   mixed>}|null
     */
    public function copy(string $copyId): ?array
    {
        $row = $this->db->fetchAssociative(
            'SELECT c.pages, c.way, r.lesson_id, '.
                CopyTimes::COLUMNS.
                ", (SELECT COALESCE(jsonb_agg(jsonb_build_array(m.student_id, m.number, m.role)
                    ORDER BY m.position, m.number), '[]') FROM (
                        SELECT c.student_id, 0 AS position, COALESCE(s.number, 1) AS number, COALESCE(s.role, '')
                          AS role
                        FROM (VALUES (1)) AS one (n) LEFT JOIN run_last_seat s ON s.run_id = u.id
                          AND s.student_id = c.student_id WHERE c.student_id IS NOT NULL
                        UNION ALL
                        SELECT s.student_id, g.position, s.number, s.role FROM run_group g
                          JOIN run_last_seat s ON s.run_group_id = g.id
                        WHERE g.run_id = u.id AND c.student_id IS NULL AND (c.group_id IS NULL
                          OR g.group_id = c.group_id)
                    ) m) AS members
             FROM work_copy c ".
                CopyTimes::FROM.
                ' WHERE c.id = ? AND l.removed_at IS NULL',
            [$copyId],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return [
            'lesson' => $row->text('lesson_id'),
            'time' => CopyTimes::fromRow($row),
            'way' => HandOutWay::from($row->text('way')),
            'members' => self::members($row->json('members')),
            'pages' => $row->json('pages'),
        ];
    }

    /**
     * @param array<array-key, mixed> $rows id, number and role
     *
     * @return list<Member>
     */
    public static function members(array $rows): array
    {
        $members = [];
        foreach ($rows as $row) {
            if (
                \is_array($row)
                && \is_string($row[0] ?? null)
                && \is_int($row[1] ?? null)
                && \is_string($row[2] ?? null)
            ) {
                $members[] = new Member($row[0], $row[1], $row[2]);
            }
        }

        return $members;
    }

    /**
     * @return array{string, AnswerView}|null what stood there before, and what stands there now; null if this save was
     *     done before
     */
    private function write(
        string $copyId,
        Block $block,
        SlotKind $kind,
        string $owner,
        string $author,
        SaveSlot $save,
        bool $apart,
    ): ?array {
        $now = $this->clock->ms();
        $digest = hash('xxh64', "{$copyId}|{$block->id}|{$owner}|{$save->base}\0{$save->text}");
        if (
            0 ===
            $this->db->executeStatement(
                'INSERT INTO slot_save (id, at, digest) VALUES (?, ?, ?) ON CONFLICT DO NOTHING',
                [$save->save, $now, $digest],
            )
        ) {
            return $digest === $this->db->fetchOne('SELECT digest FROM slot_save WHERE id = ?', [$save->save])
                ? null
                : throw MaterialsRefused::unusable('http.other_body', 'save');
        }
        $key = [$copyId, $block->id, $owner];
        $this->db->executeStatement(
            "INSERT INTO slot_answer (copy_id, slot, owner, text, revision, author, at) VALUES (?, ?, ?, '', 0, ?, ?)
                ON CONFLICT DO NOTHING",
            [...$key, $author, $now],
        );
        $row = $this->db->fetchAssociative(
            'SELECT * FROM slot_answer WHERE copy_id = ? AND slot = ? AND owner = ? FOR UPDATE',
            $key,
        );
        $saved = WorkReader::answer(new Row(false === $row ? throw MaterialsRefused::missing() : $row));

        $text = $this->fit($kind->merge($save->base, $saved->text, $save->text), $kind, $saved, $key, $author, $now);
        $answer = (new AnswerView($block->id, $owner, $text, $saved->revision + 1, $author, $now))->in($block);
        if ($saved->revision > 0 && ($apart || $saved->author !== $author || $now - $saved->at > self::STRETCH)) {
            $before = $this->db->fetchOne(
                'SELECT text FROM slot_revision WHERE copy_id = ? AND slot = ? AND owner = ? AND revision > 0
                    ORDER BY revision DESC LIMIT 1',
                $key,
            );
            $this->db->executeStatement(
                'INSERT INTO slot_revision (copy_id, slot, owner, revision, text, author, at, put, filled)
                    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
                [
                    ...$key,
                    $saved->revision,
                    $saved->text,
                    $saved->author,
                    $saved->at,
                    $kind->put(\is_string($before) ? $before : '', $saved->text),
                    $kind->isFilled($saved->text, $block) ? 't' : 'f',
                ],
            );
        }
        $this->db->executeStatement(
            'UPDATE slot_answer SET text = ?, revision = ?, author = ?, at = ?, share = ? WHERE copy_id = ?
                AND slot = ? AND owner = ?',
            [$text, $answer->revision, $author, $now, $answer->share, ...$key],
        );

        return [$saved->text, $answer];
    }

    /**
     * What two people wrote at once can be more than a slot holds. It then holds its beginning, so that it can always
     * be shortened and gone on with, and the whole of it is kept in the history.
     *
     * @param list<string> $key
     */
    private function fit(
        string $text,
        SlotKind $kind,
        AnswerView $saved,
        array $key,
        string $author,
        int $now,
    ): string {
        if (mb_strlen($text) <= self::MOST) {
            return $text;
        }
        if (!($kind instanceof Written) || !$this->overflows->create(implode('|', $key))->consume()->isAccepted()) {
            throw MaterialsRefused::tooMuch('materials.slot_full', 'text', 10);
        }
        $this->db->executeStatement(
            'INSERT INTO slot_revision (copy_id, slot, owner, revision, text, author, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
            [...$key, -$saved->revision - 1, $text, $author, $now],
        );

        return mb_substr($text, 0, self::MOST);
    }
}
