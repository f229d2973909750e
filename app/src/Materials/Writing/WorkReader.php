<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Materials\Cupboard\BlockHtml;
use FreshHuddle\App\Materials\Cupboard\Markdown;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Margin\MarginNoteView;
use FreshHuddle\App\Materials\Margin\MarginReader;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\CopyOpen;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\SlotAccess;

/**
 * Copies with all that stands in them. By hand: all copies of a round with all their answers come in two round trips,
 * as many as 1,200, every time a page looks again.
 */
final readonly class WorkReader
{
    /** So many earlier copies are found again. */
    private const EARLIER = 200;

    public function __construct(
        private Connection $db,
        private Pages $pages,
        private Markdown $markdown,
        private MarginReader $margin,
    ) {
    }

    /**
     * @return list<CopyView>
     */
    public function copies(string $roundId): array
    {
        $answers = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT a.* FROM slot_answer a JOIN work_copy c ON c.id = a.copy_id WHERE c.round_id = ?
                        ORDER BY a.at',
                    [$roundId],
                ),
            ) as $row
        ) {
            $answers[$row->text('copy_id')][] = self::answer($row);
        }
        $pages = [];
        $notes = $this->margin->forRound($roundId);
        $members = null;

        return array_map(function (Row $row) use ($roundId, $answers, $notes, &$pages, &$members): CopyView {
            $key = "{$row->text('original_id')}|{$row->int('original_version')}|{$row->text('variant')}";
            $pages[$key] ??= $this->read($row);

            $of = null;
            if (self::hasParts($pages[$key][2])) {
                $members ??= $this->members($roundId);
                $of = self::whose($row, $members);
            }

            return self::view(
                $row,
                $pages[$key],
                $answers[$row->text('id')] ?? [],
                $notes[$row->text('id')] ?? [],
                $of,
            );
        }, Row::all(
            $this->db->fetchAllAssociative('SELECT * FROM work_copy WHERE round_id = ? ORDER BY name', [$roundId]),
        ));
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
        $row = new Row($row);
        $answers = Row::all(
            $this->db->fetchAllAssociative('SELECT * FROM slot_answer WHERE copy_id = ? ORDER BY at', [$id]),
        );

        return self::view(
            $row,
            $this->read($row),
            array_map(self::answer(...), $answers),
            $this->margin->forRound(null, $id)[$id] ?? [],
        );
    }

    /**
     * In which slots of a copy a picture of the students' own stands.
     *
     * @return list<array{string, string}> slot and owner
     */
    public function pictures(string $copyId, string $media): array
    {
        return array_map(
            static fn (Row $row): array => [$row->text('slot'), $row->text('owner')],
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT slot, owner FROM slot_answer WHERE copy_id = ? AND strpos(text, ?) > 0',
                    [$copyId, $media],
                ),
            ),
        );
    }

    /**
     * The copies that were a student's, or of a group they were in, in other lessons of the class than the one it is
     * in; the latest first.
     *
     * @param int $now milliseconds since 1970
     *
     * @return list<EarlierCopy> those that are open
     */
    public function earlier(string $studentId, string $classId, int $now): array
    {
        $earlier = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT c.id, c.title, l.title AS lesson, (EXTRACT(EPOCH
                        FROM COALESCE(l.starts_at, l.created_at)) * 1000)::bigint AS starts_at, '.
                        CopyTimes::COLUMNS.
                        ",
                    (SELECT COALESCE(jsonb_agg(jsonb_build_array(s.student_id, s.name)
                      ORDER BY g.position, s.number), '[]') FROM run_group g
                      JOIN run_last_seat s ON s.run_group_id = g.id
                     WHERE g.run_id = u.id
                       AND CASE WHEN c.student_id IS NOT NULL THEN s.student_id = c.student_id ELSE c.group_id IS NULL
                       OR g.group_id = c.group_id END) AS members
             FROM work_copy c ".
                        CopyTimes::FROM.
                        ' JOIN school_class k ON k.id = l.class_id
             WHERE l.class_id = :class AND l.removed_at IS NULL AND NOT l.template AND l.id IS DISTINCT
               FROM k.current_lesson_id
               AND (c.student_id = :student OR (c.student_id IS NULL AND EXISTS (SELECT 1 FROM run_group g
                 JOIN run_last_seat s ON s.run_group_id = g.id
                    WHERE g.run_id = u.id AND s.student_id = :student AND (c.group_id IS NULL
                      OR g.group_id = c.group_id))))
             ORDER BY l.starts_at DESC NULLS LAST, r.number DESC, c.title LIMIT '.
                        self::EARLIER,
                    ['class' => $classId, 'student' => $studentId],
                ),
            ) as $row
        ) {
            $open = CopyTimes::fromRow($row)->stateAt($now);
            if ($open->isClosed()) {
                continue;
            }
            $members = [];
            foreach ($row->json('members') as $member) {
                if (\is_array($member) && \is_string($member[0] ?? null) && \is_string($member[1] ?? null)) {
                    $members[] = new MemberView($member[0], $member[1]);
                }
            }
            $earlier[] = new EarlierCopy(
                $row->text('id'),
                $row->text('title'),
                $row->text('lesson'),
                $row->int('starts_at'),
                CopyOpen::Write === $open,
                $members,
            );
        }

        return $earlier;
    }

    /**
     * Who sits where in a round: as it was sent out last.
     *
     * @return array<string, list<Member>> by group
     */
    public function members(string $roundId): array
    {
        $members = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT g.group_id, s.student_id, s.number, s.role FROM (SELECT id FROM run WHERE round_id = ?
                        AND NOT taken_back ORDER BY attempt DESC LIMIT 1) u
             JOIN run_group g ON g.run_id = u.id JOIN run_last_seat s ON s.run_group_id = g.id
               ORDER BY g.position, s.number',
                    [$roundId],
                ),
            ) as $row
        ) {
            $members[$row->textOrNull('group_id') ?? ''][] = new Member(
                $row->text('student_id'),
                $row->int('number'),
                $row->text('role'),
            );
        }

        return $members;
    }

    public static function answer(Row $row): AnswerView
    {
        return new AnswerView(
            $row->text('slot'),
            $row->text('owner'),
            $row->text('text'),
            $row->int('revision'),
            $row->text('author'),
            $row->int('at'),
        );
    }

    /**
     * @return array{list<PageView>, list<BlockHtml>, array<string, Block>}
     */
    private function read(Row $row): array
    {
        $pages = $this->pages->read($row->json('pages'));
        $slots = [];
        foreach ($pages as $page) {
            foreach ($page->blocks as $block) {
                $slots[$block->id] = $block->block();
            }
        }

        return [$pages, $this->markdown->fromPages($pages), $slots];
    }

    /**
     * @param array<string, Block> $slots
     */
    private static function hasParts(array $slots): bool
    {
        foreach ($slots as $block) {
            if (!$block->settings->part->isEverybody()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<string, list<Member>> $members by group
     *
     * @return list<Member> those whose copy it is
     */
    private static function whose(Row $copy, array $members): array
    {
        $student = $copy->textOrNull('student_id');
        $group = $copy->textOrNull('group_id');
        if (null !== $group) {
            return $members[$group] ?? [];
        }

        return array_values(
            array_filter(
                array_merge(...array_values($members)),
                static fn (Member $member): bool => null === $student || $student === $member->student,
            ),
        );
    }

    /**
     * @param array{list<PageView>, list<BlockHtml>, array<string, Block>} $pages
     * @param list<AnswerView>                                             $answers
     * @param list<MarginNoteView>                                         $notes
     * @param list<Member>|null                                            $members of its group; null where no slot
     *     asks
     */
    private static function view(
        Row $row,
        array $pages,
        array $answers,
        array $notes,
        ?array $members = null,
    ): CopyView {
        return new CopyView(
            $row->text('id'),
            $row->text('original_id'),
            $row->textOrNull('group_id'),
            $row->textOrNull('student_id'),
            HandOutWay::from($row->text('way')),
            $row->text('name'),
            $row->text('title'),
            $pages[0],
            $pages[1],
            array_map(
                static fn (AnswerView $answer): AnswerView => $answer->in($pages[2][$answer->slot] ?? null),
                $answers,
            ),
            $notes,
            null === $members ? [] : SlotFillers::inPages($pages[0], new SlotAccess($members)),
        );
    }
}
