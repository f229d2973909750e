<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\HandOut\AloneReader;
use FreshHuddle\App\Materials\HandOut\AloneWork;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Record\Fact\ExitFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\WritingFact;

/**
 * Who wrote what when in the copies of a lesson. By hand: all stretches of writing come in one round trip.
 */
final readonly class WritingReader
{
    public function __construct(private Connection $db, private Pages $pages, private AloneReader $alone)
    {
    }

    /**
     * @param array<string, true> $students whose writing counts
     * @param array<string, int>  $places   how many places each group fills
     * @param int                 $from     milliseconds since 1970: what is older was brought along
     */
    public function read(Lesson $lesson, array $students, array $places, int $from): WritingFacts
    {
        $alone = array_fill_keys(
            array_map(static fn (AloneWork $work): string => $work->original, $this->alone->forLesson($lesson)),
            true,
        );
        $copies = $this->copies($lesson->id);
        $writing = $progress = $answered = $filled = $done = $last = [];
        $before = [];
        foreach ($this->states($lesson->id) as $row) {
            $copy = $copies[$row->text('copy_id')];
            $block = $copy['blocks'][$row->text('slot')] ?? null;
            $kind = $block?->slot();
            if (null === $block || null === $kind) {
                continue;
            }
            $slot = "{$row->text('copy_id')} {$row->text('slot')}";
            $place = "{$slot} {$row->text('owner')}";
            // Counted when the stretch ended; what is being written, or was before it was counted then, is counted now.
            $text = $row->textOrNull('text') ?? '';
            $put = $row->intOrNull('put') ?? $kind->put($row->textOrNull('was') ?? $before[$place] ?? '', $text);
            $isFilled = $row->boolOrNull('filled') ?? $kind->isFilled($text, $block);
            $before[$place] = $text;
            if (isset($alone[$copy['original']]) && null !== $copy['student']) {
                $answered[$copy['student']][$slot] = $isFilled;
            } elseif (null !== $copy['group'] && ($filled[$place] ?? false) !== $isFilled) {
                $filled[$place] = $isFilled;
                $done[$copy['group']] = ($done[$copy['group']] ?? 0) + ($isFilled ? 1 : -1);
            }
            $at = $row->int('at');
            if ($at < $from || !isset($students[$row->text('author')])) {
                continue;
            }
            $writing[] = new WritingFact($row->text('author'), $copy['group'], $slot, $at, $put);
            if (null !== $copy['group']) {
                $all = $places[$copy['group']] ?? 0;
                $now = min($all, $done[$copy['group']] ?? 0);
                if (($last[$copy['group']] ?? null) !== $now) {
                    $progress[] = new ProgressFact($copy['group'], $at, $now, $all);
                    $last[$copy['group']] = $now;
                }
            }
        }

        return new WritingFacts($writing, $progress, self::exits($copies, $alone, $answered));
    }

    /**
     * @param array<string, array{original: string, group: string|null, student: string|null, blocks: array<string,
     *   Block>}> $copies
     * @param array<string, true>                $alone    worksheets that each does alone
     * @param array<string, array<string, bool>> $answered by student and place
     *
     * @return list<ExitFact>
     */
    private static function exits(array $copies, array $alone, array $answered): array
    {
        $exits = [];
        foreach ($copies as $id => $copy) {
            if (!isset($alone[$copy['original']]) || null === $copy['student']) {
                continue;
            }
            $of = $done = 0;
            foreach ($copy['blocks'] as $slot => $block) {
                if (null !== $block->slot()) {
                    ++$of;
                    $done += ($answered[$copy['student']]["{$id} {$slot}"] ?? false) ? 1 : 0;
                }
            }
            $exits[] = new ExitFact($copy['student'], $done, $of);
        }

        return $exits;
    }

    /**
     * @return array<string, array{original: string, group: string|null, student: string|null, blocks: array<string,
     *   Block>}> by id
     */
    private function copies(string $lessonId): array
    {
        $copies = $read = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT c.id, c.original_id, c.original_version, c.variant, c.group_id, c.student_id, c.pages
                     FROM work_copy c JOIN round r ON r.id = c.round_id WHERE r.lesson_id = ?',
                    [$lessonId],
                ),
            ) as $row
        ) {
            $key = "{$row->text('original_id')}|{$row->int('original_version')}|{$row->text('variant')}";
            $read[$key] ??= $this->blocks($row->json('pages'));
            $copies[$row->text('id')] = [
                'original' => $row->text('original_id'),
                'group' => $row->textOrNull('group_id'),
                'student' => $row->textOrNull('student_id'),
                'blocks' => $read[$key],
            ];
        }

        return $copies;
    }

    /**
     * @param array<array-key, mixed> $pages
     *
     * @return array<string, Block>
     */
    private function blocks(array $pages): array
    {
        $blocks = [];
        foreach ($this->pages->read($pages) as $page) {
            foreach ($page->blocks as $view) {
                $blocks[$view->id] = $view->block();
            }
        }

        return $blocks;
    }

    /**
     * What stood in each place at the end of each stretch of writing, in the order of time: what was counted of it, or
     * else its text, and the text before where it is of a stretch that goes on.
     *
     * @return iterable<Row>
     */
    private function states(string $lessonId): iterable
    {
        $rows = $this->db->iterateAssociative(
            'SELECT x.* FROM (
               SELECT v.copy_id, v.slot, v.owner, v.revision, v.author, v.at, v.put, v.filled,
                 CASE WHEN v.put IS NULL OR v.filled IS NULL THEN v.text END AS text, NULL::text AS was
               FROM slot_revision v JOIN work_copy c ON c.id = v.copy_id JOIN round r ON r.id = c.round_id
               WHERE r.lesson_id = :lesson AND v.revision > 0
               UNION ALL
               SELECT a.copy_id, a.slot, a.owner, a.revision, a.author, a.at, NULL, NULL, a.text,
                 (SELECT v.text FROM slot_revision v WHERE (v.copy_id, v.slot, v.owner) = (a.copy_id, a.slot, a.owner)
                    AND v.revision > 0 ORDER BY v.revision DESC LIMIT 1)
               FROM slot_answer a JOIN work_copy c ON c.id = a.copy_id JOIN round r ON r.id = c.round_id
               WHERE r.lesson_id = :lesson AND a.revision > 0) x
             ORDER BY x.at, x.copy_id, x.slot, x.owner, x.revision',
            ['lesson' => $lessonId],
        );
        foreach ($rows as $row) {
            yield new Row($row);
        }
    }
}
