<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Forgets;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\Merge\Splice;
use FreshHuddle\Core\Materials\Merge\ThreeWay;
use FreshHuddle\Core\Materials\SlotAccess;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/**
 * Students reading and writing in their group's copy. To anybody who is not a member now, a copy is not there.
 */
final readonly class Writing implements Forgets
{
    /** Saves of one author that follow each other within so long are one stretch of the history. Milliseconds. */
    private const STRETCH = 30_000;
    /** No page sends a save again after so long: it keeps what is unsaved for a school week at most. Milliseconds. */
    private const SENT_AGAIN_FOR = 7 * 86_400_000;
    /** Signs a slot holds, whatever was merged to make them. */
    private const MOST = 20_000;
    /** Above so many bytes only what changed goes out. */
    private const LONG = 1_000;

    public function __construct(
        private Connection $db,
        private Materials $materials,
        private ThreeWay $merge,
        private Stream $stream,
        private Clock $clock,
        #[Target('saves')]
        private RateLimiterFactoryInterface $saves,
        #[Target('overflows')]
        private RateLimiterFactoryInterface $overflows,
    ) {
    }

    public function forgetOld(): void
    {
        $this->db->executeStatement('DELETE FROM slot_save WHERE at < ?', [$this->clock->ms() - self::SENT_AGAIN_FOR]);
    }

    /**
     * @throws Problem 404 if there is no such copy, or it is not open to this student
     */
    public function read(string $copyId, string $studentId): CopyView
    {
        $this->open($copyId, $studentId);

        return $this->materials->copy($copyId) ?? throw Problem::notFound();
    }

    /**
     * Saves what a student wrote. Where somebody else wrote meanwhile, both are brought together. A save that is sent
     * again changes nothing.
     *
     * @return AnswerView what the slot holds now
     *
     * @throws Problem 404 if this student may not write there
     */
    public function save(string $copyId, string $slot, string $studentId, SaveSlot $save): AnswerView
    {
        [$lessonId, $members, $blocks] = $this->open($copyId, $studentId);
        $block = $blocks[$slot] ?? throw Problem::notFound();
        $column = BlockKind::Each === $block->kind ? $studentId : null;
        if (!(new SlotAccess($members))->mayWrite($studentId, $block, $column)) {
            throw Problem::notFound();
        }
        $owner = $column ?? $copyId;
        if (!$this->saves->create($studentId)->consume()->isAccepted()) {
            throw new Problem(429, 'That was too much at once. It is kept here and sent again.', null, ['Retry-After' => '2']);
        }
        $written = $this->db->transactional(fn (): ?array => $this->write($copyId, $slot, $owner, $studentId, $save));
        if (null === $written) {
            $row = $this->db->fetchAssociative('SELECT * FROM slot_answer WHERE copy_id = ? AND slot = ? AND owner = ?', [$copyId, $slot, $owner]);

            return Materials::answer(new Row(false === $row ? throw Problem::notFound() : $row));
        }
        [$before, $answer] = $written;
        $this->stream->publish([Audience::staff($lessonId), ...array_map(Audience::student(...), $members)], self::message($copyId, $before, $answer));

        return $answer;
    }

    /**
     * @return array<string, mixed> the answer, or where it is long what has changed in it
     */
    private static function message(string $copyId, string $before, AnswerView $answer): array
    {
        if (\strlen($answer->text) <= self::LONG) {
            return ['kind' => 'answer', 'copy' => $copyId, 'answer' => $answer];
        }
        $splice = Splice::between($before, $answer->text);

        return ['kind' => 'change', 'copy' => $copyId, 'slot' => $answer->slot, 'owner' => $answer->owner, 'revision' => $answer->revision, 'author' => $answer->author, 'when' => $answer->at]
            + (\strlen($splice->put) <= self::LONG ? ['at' => $splice->at, 'gone' => $splice->gone, 'put' => $splice->put] : []);
    }

    /**
     * @return array{string, AnswerView}|null what stood there before, and what stands there now; null if this save was done before
     */
    private function write(string $copyId, string $slot, string $owner, string $author, SaveSlot $save): ?array
    {
        $now = $this->clock->ms();
        if (0 === $this->db->executeStatement('INSERT INTO slot_save (id, at) VALUES (?, ?) ON CONFLICT DO NOTHING', [$save->save, $now])) {
            return null;
        }
        $key = [$copyId, $slot, $owner];
        $this->db->executeStatement("INSERT INTO slot_answer (copy_id, slot, owner, text, revision, author, at) VALUES (?, ?, ?, '', 0, ?, ?) ON CONFLICT DO NOTHING", [...$key, $author, $now]);
        $row = $this->db->fetchAssociative('SELECT * FROM slot_answer WHERE copy_id = ? AND slot = ? AND owner = ? FOR UPDATE', $key);
        $saved = Materials::answer(new Row(false === $row ? throw Problem::notFound() : $row));

        $text = $this->fit($this->merge->merge($save->base, $saved->text, $save->text), $saved, $key, $author, $now);
        $answer = new AnswerView($slot, $owner, $text, $saved->revision + 1, $author, $now);
        if ($saved->revision > 0 && ($saved->author !== $author || $now - $saved->at > self::STRETCH)) {
            $this->db->executeStatement(
                'INSERT INTO slot_revision (copy_id, slot, owner, revision, text, author, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
                [...$key, $saved->revision, $saved->text, $saved->author, $saved->at],
            );
        }
        $this->db->executeStatement('UPDATE slot_answer SET text = ?, revision = ?, author = ?, at = ? WHERE copy_id = ? AND slot = ? AND owner = ?', [$text, $answer->revision, $author, $now, ...$key]);

        return [$saved->text, $answer];
    }

    /**
     * What two people wrote at once can be more than a slot holds. It then holds its beginning, so that it can always be
     * shortened and gone on with, and the whole of it is kept in the history.
     *
     * @param list<string> $key
     */
    private function fit(string $text, AnswerView $saved, array $key, string $author, int $now): string
    {
        if (mb_strlen($text) <= self::MOST) {
            return $text;
        }
        if (!$this->overflows->create(implode('|', $key))->consume()->isAccepted()) {
            throw new Problem(429, 'This place is full. Make it shorter, then go on.', 'text', ['Retry-After' => '10']);
        }
        $this->db->executeStatement(
            'INSERT INTO slot_revision (copy_id, slot, owner, revision, text, author, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
            [...$key, -$saved->revision - 1, $text, $author, $now],
        );

        return mb_substr($text, 0, self::MOST);
    }

    /**
     * @return array{string, list<string>, array<string, Block>} the lesson, ids of the members, the blocks by id
     *
     * @throws Problem 404 if the copy is not open to this student
     */
    private function open(string $copyId, string $studentId): array
    {
        $row = $this->db->fetchAssociative(
            'SELECT c.blocks, r.lesson_id, r.moments, array_to_json(ARRAY(SELECT s.student_id FROM seat s WHERE s.group_id = g.id ORDER BY s.number)) AS members
             FROM work_copy c JOIN round r ON r.id = c.round_id JOIN work_group g ON g.id = c.group_id AND g.grouping_id = r.grouping_id AND g.position IS NOT NULL
             WHERE c.id = ?',
            [$copyId],
        );
        $row = new Row(false === $row ? throw Problem::notFound() : $row);
        $members = array_values(array_filter($row->json('members'), \is_string(...)));
        $phase = Moments::read($row->json('moments'))->phase($this->clock->ms());
        if (!$phase->showsGroups() || !(new SlotAccess($members))->mayRead($studentId)) {
            throw Problem::notFound();
        }
        $blocks = [];
        foreach (Materials::blocks($row) as $block) {
            $blocks[$block->id] = new Block($block->id, $block->kind, $block->text);
        }

        return [$row->text('lesson_id'), $members, $blocks];
    }
}
