<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Materials\BlockKind;

/**
 * Originals and copies, for the screen. By hand: all copies of a round with all their answers come in two round trips, as
 * many as 200, every time a page looks again.
 */
final readonly class MaterialReader
{
    public function __construct(private Connection $db)
    {
    }

    public function original(string $roundId): ?OriginalView
    {
        $row = $this->db->fetchAssociative('SELECT * FROM original WHERE round_id = ?', [$roundId]);
        if (false === $row) {
            return null;
        }
        $row = new Row($row);

        return new OriginalView($row->text('id'), $row->text('title'), $row->int('version'), self::blocks($row));
    }

    /**
     * @return list<CopySummary>
     */
    public function summaries(string $roundId): array
    {
        return array_map(
            static fn (Row $row): CopySummary => new CopySummary($row->text('id'), $row->text('group_id'), $row->text('name'), $row->int('original_version')),
            Row::all($this->db->fetchAllAssociative('SELECT id, group_id, name, original_version FROM work_copy WHERE round_id = ? ORDER BY name', [$roundId])),
        );
    }

    /**
     * @return list<CopyView>
     */
    public function copies(string $roundId): array
    {
        $answers = [];
        foreach (Row::all($this->db->fetchAllAssociative('SELECT a.* FROM slot_answer a JOIN work_copy c ON c.id = a.copy_id WHERE c.round_id = ? ORDER BY a.at', [$roundId])) as $row) {
            $answers[$row->text('copy_id')][] = self::answer($row);
        }

        return array_map(
            static fn (Row $row): CopyView => self::copyView($row, $answers[$row->text('id')] ?? []),
            Row::all($this->db->fetchAllAssociative('SELECT * FROM work_copy WHERE round_id = ? ORDER BY name', [$roundId])),
        );
    }

    /**
     * @return CopyView|null null if there is no such copy
     */
    public function copy(string $id): ?CopyView
    {
        $row = $this->db->fetchAssociative('SELECT * FROM work_copy WHERE id = ?', [$id]);
        if (false === $row) {
            return null;
        }
        $answers = Row::all($this->db->fetchAllAssociative('SELECT * FROM slot_answer WHERE copy_id = ? ORDER BY at', [$id]));

        return self::copyView(new Row($row), array_map(self::answer(...), $answers));
    }

    public static function answer(Row $row): AnswerView
    {
        return new AnswerView($row->text('slot'), $row->text('owner'), $row->text('text'), $row->int('revision'), $row->text('author'), $row->int('at'));
    }

    /**
     * @return list<BlockView>
     */
    public static function blocks(Row $row): array
    {
        $blocks = [];
        foreach ($row->json('blocks') as $block) {
            if (\is_array($block) && \is_string($block['id']) && \is_string($block['kind']) && \is_string($block['text'])) {
                $blocks[] = new BlockView($block['id'], BlockKind::from($block['kind']), $block['text']);
            }
        }

        return $blocks;
    }

    /**
     * @param list<AnswerView> $answers
     */
    private static function copyView(Row $row, array $answers): CopyView
    {
        return new CopyView($row->text('id'), $row->text('group_id'), $row->text('name'), $row->text('title'), self::blocks($row), $answers);
    }
}
