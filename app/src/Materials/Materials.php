<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\CopyName;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Original;
use Symfony\Component\Uid\Uuid;

/**
 * The original of a round and its copies, one a group.
 */
final readonly class Materials
{
    public function __construct(private Connection $db, private FloorStore $floors, private Stream $stream)
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
     * @throws Problem 409 if it was changed elsewhere meanwhile; 422 if it cannot be used
     */
    public function saveOriginal(Round $round, SaveOriginal $save): OriginalView
    {
        try {
            $original = new Original(trim($save->title), array_map(static fn (BlockView $block): Block => new Block($block->id, $block->kind, $block->text), $save->blocks));
        } catch (UnusableOriginal $e) {
            throw new Problem(422, $e->getMessage(), 'blocks');
        }
        $values = ['title' => $original->title, 'blocks' => json_encode(array_map(BlockView::of(...), $original->blocks), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE)];
        $done = 0 === $save->basedOn
            ? $this->db->executeStatement(
                'INSERT INTO original (id, round_id, title, blocks, version) VALUES (?, ?, ?, ?, 1) ON CONFLICT DO NOTHING',
                [Uuid::v7()->toRfc4122(), $round->id, $values['title'], $values['blocks']],
            )
            : $this->db->executeStatement(
                'UPDATE original SET title = ?, blocks = ?, version = version + 1 WHERE round_id = ? AND version = ?',
                [$values['title'], $values['blocks'], $round->id, $save->basedOn],
            );
        if (0 === $done) {
            throw new Problem(409, 'The original was changed in another window a moment ago. Copy what you wrote, then load it again.');
        }
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);

        return $this->original($round->id) ?? throw Problem::notFound();
    }

    /**
     * Makes the copies that are missing and brings the others up to date where nobody has written yet.
     *
     * @throws Problem 422 while there is no original or no group
     */
    public function makeCopies(Round $round): CopiesMade
    {
        $original = $this->original($round->id) ?? throw new Problem(422, 'There is no original to copy yet.');
        if ([] === array_filter($original->blocks, static fn (BlockView $block): bool => $block->kind->isSlot())) {
            throw new Problem(422, 'The original has no place to write in. Add a slot first.', 'blocks');
        }
        $floor = $this->floors->now($round->grouping->id);
        if ([] === $floor->groups) {
            throw new Problem(422, 'There are no groups yet, so there is nobody to make copies for.');
        }
        $made = $brought = 0;
        $kept = [];
        $this->db->transactional(function () use ($round, $original, $floor, &$made, &$brought, &$kept): void {
            $this->db->executeQuery('SELECT 1 FROM original WHERE id = ? FOR UPDATE', [$original->id]);
            $blocks = json_encode($original->blocks, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
            foreach ($floor->groups as $i => $group) {
                $name = CopyName::for($round->lesson->class->name, $i + 1, \count($floor->groups), $group->name, $original->title);
                $made += $fresh = (int) $this->db->executeStatement(
                    'INSERT INTO work_copy (id, round_id, original_id, original_version, group_id, name, title, blocks) VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
                    [Uuid::v7()->toRfc4122(), $round->id, $original->id, $original->version, $group->id, $name, $original->title, $blocks],
                );
                if (0 === $fresh) {
                    $this->bringUpToDate($round->id, $group->id, $original, $blocks, $name) ? ++$brought : $kept[] = $name;
                }
            }
        });
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);
        $this->stream->publish([Audience::everybody($round->lesson->id)], ['kind' => 'refresh']);

        return new CopiesMade($made, $brought, $kept);
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

    /**
     * @return bool false where somebody has written and the copy is an older one: it is left alone
     */
    private function bringUpToDate(string $roundId, string $groupId, OriginalView $original, string $blocks, string $name): bool
    {
        $copy = $this->db->fetchAssociative('SELECT id, original_version FROM work_copy WHERE round_id = ? AND group_id = ? FOR UPDATE', [$roundId, $groupId]);
        $copy = new Row(false === $copy ? throw Problem::notFound() : $copy);
        $this->db->update('work_copy', ['name' => $name], ['id' => $copy->text('id')]);
        if ($copy->int('original_version') === $original->version) {
            return true;
        }
        if (false !== $this->db->fetchOne("SELECT 1 FROM slot_answer WHERE copy_id = ? AND text <> ''", [$copy->text('id')])) {
            return false;
        }
        $this->db->update('work_copy', ['blocks' => $blocks, 'title' => $original->title, 'original_version' => $original->version], ['id' => $copy->text('id')]);

        return true;
    }
}
