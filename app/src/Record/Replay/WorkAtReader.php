<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Replay;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Debrief\HoldUp\ShownPiece;
use FreshHuddle\App\Debrief\HoldUp\ShownReader;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;

/**
 * The work of a group as it was at a moment: what stood at the end of each stretch of writing that had ended by then.
 * By hand: all places of all copies come in one round trip.
 */
final readonly class WorkAtReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private ShownReader $shown,
    ) {
    }

    /**
     * @param string $group id of a group of the lesson, as its record has it
     * @param int    $at    milliseconds since 1970
     *
     * @return list<ShownPiece> a copy each; none where the group had no copies, or is there no more
     */
    public function work(Lesson $lesson, string $group, int $at): array
    {
        /** @var list<WorkCopy> $copies */
        $copies = $this->em->createQueryBuilder()
            ->select('c', 'o')
            ->from(WorkCopy::class, 'c')
            ->join('c.round', 'r')
            ->join('c.original', 'o')
            ->where('r.lesson = :lesson AND c.group = :group')
            ->orderBy('c.id')
            ->setParameter('lesson', $lesson)
            ->setParameter('group', $group)
            ->getQuery()
            ->getResult();
        $answers = $this->answers(array_map(static fn (WorkCopy $copy): string => $copy->id, $copies), $at);

        return array_map(
            fn (WorkCopy $copy): ShownPiece => $this->shown->wholeWith($copy, $answers[$copy->id] ?? []),
            $copies,
        );
    }

    /**
     * @param list<string> $copies ids
     *
     * @return array<string, list<array{slot: string, owner: string, text: string}>> by copy
     */
    private function answers(array $copies, int $at): array
    {
        $answers = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT DISTINCT ON (x.copy_id, x.slot, x.owner) x.copy_id, x.slot, x.owner, x.text FROM (
                       SELECT copy_id, slot, owner, revision, text, at FROM slot_revision
                         WHERE copy_id = ANY(:copies::uuid[])
                       UNION ALL SELECT copy_id, slot, owner, revision, text, at FROM slot_answer
                         WHERE copy_id = ANY(:copies::uuid[])) x
                     WHERE x.at <= :at ORDER BY x.copy_id, x.slot, x.owner, x.at DESC, x.revision DESC',
                    ['copies' => '{'.implode(',', $copies).'}', 'at' => $at],
                ),
            ) as $row
        ) {
            if ('' !== $row->text('text')) {
                $answers[$row->text('copy_id')][] = [
                    'slot' => $row->text('slot'),
                    'owner' => $row->text('owner'),
                    'text' => $row->text('text'),
                ];
            }
        }

        return $answers;
    }
}
