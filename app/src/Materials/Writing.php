<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\FloorJson;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Live\LessonClock;
use FreshHuddle\App\Live\Moments;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\Merge\ThreeWay;
use FreshHuddle\Core\Materials\SlotAccess;

/**
 * Students reading and writing in their group's copy. To anybody who is not a member now, a copy is not there.
 */
final readonly class Writing
{
    /** Saves of one author that follow each other within so long are one stretch of the history. Milliseconds. */
    private const STRETCH = 30_000;

    public function __construct(
        private Connection $db,
        private Materials $materials,
        private ThreeWay $merge,
        private Stream $stream,
        private LessonClock $clock,
    ) {
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
        $answer = $this->db->transactional(fn (): ?AnswerView => $this->write($copyId, $slot, $owner, $studentId, $save));
        if (null === $answer) {
            $row = $this->db->fetchAssociative('SELECT * FROM slot_answer WHERE copy_id = ? AND slot = ? AND owner = ?', [$copyId, $slot, $owner]);

            return Materials::answer(new Row(false === $row ? throw Problem::notFound() : $row));
        }
        $this->stream->publish(
            [Channel::staff($lessonId), ...array_map(Channel::student(...), $members)],
            ['kind' => 'answer', 'copy' => $copyId, 'answer' => $answer],
        );

        return $answer;
    }

    /**
     * @return AnswerView|null null if this save was done before
     */
    private function write(string $copyId, string $slot, string $owner, string $author, SaveSlot $save): ?AnswerView
    {
        $now = $this->clock->ms();
        if (0 === $this->db->executeStatement('INSERT INTO slot_save (id, at) VALUES (?, ?) ON CONFLICT DO NOTHING', [$save->save, $now])) {
            return null;
        }
        $key = [$copyId, $slot, $owner];
        $this->db->executeStatement("INSERT INTO slot_answer (copy_id, slot, owner, text, revision, author, at) VALUES (?, ?, ?, '', 0, ?, ?) ON CONFLICT DO NOTHING", [...$key, $author, $now]);
        $row = $this->db->fetchAssociative('SELECT * FROM slot_answer WHERE copy_id = ? AND slot = ? AND owner = ? FOR UPDATE', $key);
        $saved = Materials::answer(new Row(false === $row ? throw Problem::notFound() : $row));

        $text = $this->merge->merge(self::clean($save->base), $saved->text, self::clean($save->text));
        $answer = new AnswerView($slot, $owner, $text, $saved->revision + 1, $author, $now);
        if ($saved->revision > 0 && ($saved->author !== $author || $now - $saved->at > self::STRETCH)) {
            $this->db->executeStatement(
                'INSERT INTO slot_revision (copy_id, slot, owner, revision, text, author, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
                [...$key, $saved->revision, $saved->text, $saved->author, $saved->at],
            );
        }
        $this->db->executeStatement('UPDATE slot_answer SET text = ?, revision = ?, author = ?, at = ? WHERE copy_id = ? AND slot = ? AND owner = ?', [$text, $answer->revision, $author, $now, ...$key]);

        return $answer;
    }

    /**
     * @return array{string, list<string>, array<string, Block>} the lesson, ids of the members, the blocks by id
     *
     * @throws Problem 404 if the copy is not open to this student
     */
    private function open(string $copyId, string $studentId): array
    {
        $row = $this->db->fetchAssociative(
            'SELECT c.group_id, c.blocks, r.lesson_id, r.moments, s.floor FROM work_copy c
             JOIN round r ON r.id = c.round_id JOIN grouping g ON g.id = r.grouping_id
             JOIN grouping_step s ON s.grouping_id = g.id AND s.number = g.step WHERE c.id = ?',
            [$copyId],
        );
        $row = new Row(false === $row ? throw Problem::notFound() : $row);
        try {
            $members = FloorJson::read($row->text('floor'))->group($row->text('group_id'))->students;
        } catch (NotOnTheFloor) {
            throw Problem::notFound();
        }
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

    /**
     * PostgreSQL's text holds no null signs, and lines end in one way.
     */
    private static function clean(string $text): string
    {
        return str_replace(["\0", "\r\n", "\r"], ['', "\n", "\n"], $text);
    }
}
