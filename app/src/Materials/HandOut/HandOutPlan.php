<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Change;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\Cupboard\Master;
use FreshHuddle\App\Materials\Cupboard\OriginalAccess;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\HandOutRow;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\VariantsBy;
use Symfony\Component\Uid\Uuid;

/**
 * Which originals a round has, and what each group gets of them.
 */
final readonly class HandOutPlan
{
    public function __construct(private EntityManagerInterface $em, private OriginalAccess $access, private Change $change, private Stream $stream)
    {
    }

    /**
     * @return list<HandOutRow> in order
     */
    public function rows(string $roundId): array
    {
        $rows = [];
        foreach ($this->cells($roundId) as $cell) {
            $rows[$cell->original->id] ??= ['way' => HandOutWay::Nothing, 'variant' => '', 'cells' => [], 'by' => null];
            if (null !== $cell->attribute) {
                $by = $rows[$cell->original->id]['by'];
                $rows[$cell->original->id]['by'] = new VariantsBy($cell->attribute, array_replace(null === $by ? [] : $by->variants, [(string) $cell->value => $cell->variant]));
            } elseif (null === $cell->group) {
                $rows[$cell->original->id]['way'] = $cell->way;
                $rows[$cell->original->id]['variant'] = $cell->variant;
            } else {
                $rows[$cell->original->id]['cells'][$cell->group->id] = ['way' => $cell->way, 'variant' => $cell->variant];
            }
        }

        return array_map(static fn (string $original, array $row): HandOutRow => new HandOutRow($original, $row['way'], $row['cells'], $row['variant'], $row['by']), array_keys($rows), array_values($rows));
    }

    /**
     * @throws MaterialsRefused if there is an original in it that is not theirs, or twice the same
     */
    public function save(Teacher $teacher, Round $round, SavePlan $plan): void
    {
        $here = array_map(static fn (HandOutRow $row): string => $row->original, $this->rows($round->id));
        $seen = [];
        foreach ($plan->rows as $i => $row) {
            if (isset($seen[$row->original])) {
                throw MaterialsRefused::unusable('materials.plan_twice', "rows[{$i}].original");
            }
            $seen[$row->original] = true;
            if (!\in_array($row->original, $here, true)) {
                $this->access->original($teacher, $row->original);
            }
        }
        $this->change->of(function () use ($round, $plan, $seen): void {
            $this->em->lock($round, LockMode::PESSIMISTIC_WRITE);
            $rows = $plan->rows;
            foreach ($this->rows($round->id) as $row) {
                if (!isset($seen[$row->original]) && !\in_array($row->original, $plan->knew, true)) {
                    $rows[] = new RowPlan($row->original, $row->way, array_map(static fn (string $group, array $cell): CellView => new CellView($group, $cell['way'], $cell['variant']), array_keys($row->cells), array_values($row->cells)), $row->variant, ByAttribute::of($row->by));
                }
            }
            $this->em->createQuery('DELETE FROM '.HandOut::class.' h WHERE h.round = ?1')->setParameter(1, $round->id)->execute();
            foreach ($rows as $position => $row) {
                $this->add($round, $row, $position);
            }
            $this->em->flush();
        });
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);
    }

    /**
     * One more row at the end: a copy for each group.
     */
    public function append(Round $round, Master $original): void
    {
        $this->add($round, new RowPlan($original->id, HandOutWay::Together), \count($this->rows($round->id)));
        $this->em->flush();
    }

    /**
     * A round that takes up where another was: the same rows, cells of the groups that are there.
     *
     * @param array<string, string> $groups a group there => the group here
     */
    public function carryOver(string $fromRound, Round $to, array $groups): void
    {
        foreach ($this->rows($fromRound) as $position => $row) {
            $cells = [];
            foreach ($row->cells as $group => $cell) {
                if (isset($groups[$group])) {
                    $cells[] = new CellView($groups[$group], $cell['way'], $cell['variant']);
                }
            }
            $this->add($to, new RowPlan($row->original, $row->way, $cells, $row->variant, ByAttribute::of($row->by)), $position);
        }
        $this->em->flush();
    }

    /**
     * A group that is a part of another gets what that one gets.
     */
    public function split(Round $round, string $fromGroup, string $toGroup): void
    {
        $group = $this->em->find(WorkGroup::class, $toGroup);
        foreach (null === $group ? [] : $this->cells($round->id) as $cell) {
            if ($cell->group?->id === $fromGroup) {
                $this->em->persist(new HandOut(Uuid::v7()->toRfc4122(), $round, $cell->original, $group, $cell->way, $cell->variant, $cell->position));
            }
        }
        $this->em->flush();
    }

    private function add(Round $round, RowPlan $row, int $position): void
    {
        $original = $this->em->find(Master::class, $row->original) ?? throw MaterialsRefused::missing();
        $known = array_column($original->variants, 'id');
        $variant = static fn (string $id): string => \in_array($id, $known, true) ? $id : '';
        $this->em->persist(new HandOut(Uuid::v7()->toRfc4122(), $round, $original, null, $row->way, $variant($row->variant), $position));
        $seen = [];
        foreach ($row->cells as $cell) {
            $group = $this->em->find(WorkGroup::class, $cell->group);
            if (null === $group || $group->grouping->id !== $round->grouping->id || isset($seen[$cell->group])) {
                continue; // a table that was taken away meanwhile
            }
            $seen[$cell->group] = true;
            $this->em->persist(new HandOut(Uuid::v7()->toRfc4122(), $round, $original, $group, $cell->way, $variant($cell->variant), $position));
        }
        $said = [];
        foreach ($row->by->values ?? [] as $one) {
            $value = trim($one->value);
            if (!isset($said[$value])) {
                $said[$value] = true;
                $this->em->persist(new HandOut(Uuid::v7()->toRfc4122(), $round, $original, null, $row->way, $variant($one->variant), $position, trim($row->by->attribute ?? ''), $value));
            }
        }
    }

    /**
     * @return list<HandOut>
     */
    private function cells(string $roundId): array
    {
        /** @var list<HandOut> $cells */
        $cells = $this->em->createQueryBuilder()->select('h')->from(HandOut::class, 'h')->where('h.round = :round')->setParameter('round', $roundId)
            ->orderBy('h.position')->addOrderBy('h.id')->getQuery()->getResult();

        return $cells;
    }
}
