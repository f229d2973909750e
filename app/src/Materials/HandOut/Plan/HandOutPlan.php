<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\OriginalAccess;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\HandOutCell;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\HandOutRow;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\VariantsBy;
use Symfony\Component\Uid\Uuid;

/**
 * Which originals a round has, and what each group gets of them.
 */
final readonly class HandOutPlan
{
    public function __construct(
        private EntityManagerInterface $em,
        private OriginalAccess $access,
        private Transaction $transaction,
        private Stream $stream,
        private Clock $clock,
        private RunningOrders $orders,
    ) {
    }

    /**
     * @throws MaterialsRefused if the original has been taken away
     */
    public function original(HandOutRow $row): StoredOriginal
    {
        return $this->em->find(StoredOriginal::class, $row->original) ?? throw MaterialsRefused::missing();
    }

    /**
     * @return list<HandOutRow> in order
     */
    public function rows(string $roundId): array
    {
        $rows = [];
        foreach ($this->cells($roundId) as $cell) {
            $rows[$cell->original->id] ??= [
                'way' => HandOutWay::Nothing,
                'variant' => '',
                'cells' => [],
                'by' => null,
                'opens' => null,
            ];
            if (null !== $cell->attribute) {
                $by = $rows[$cell->original->id]['by'];
                $rows[$cell->original->id]['by'] = new VariantsBy(
                    $cell->attribute,
                    array_replace(null === $by ? [] : $by->variants, [(string) $cell->value => $cell->variant]),
                );
            } elseif (null === $cell->group) {
                $rows[$cell->original->id]['way'] = $cell->way;
                $rows[$cell->original->id]['variant'] = $cell->variant;
                $rows[$cell->original->id]['opens'] = $cell->opensWith?->id;
            } else {
                $rows[$cell->original->id]['cells'][$cell->group->id] = [
                    'way' => $cell->way,
                    'variant' => $cell->variant,
                ];
            }
        }

        return array_map(
            static fn (string $original, array $row): HandOutRow => new HandOutRow(
                $original,
                $row['way'],
                $row['cells'],
                $row['variant'],
                $row['by'],
                $row['opens'],
            ),
            array_keys($rows),
            array_values($rows),
        );
    }

    /**
     * @throws MaterialsRefused if there is an original in it that is not theirs, or twice the same
     */
    public function save(Teacher $teacher, Round $round, SavePlan $plan): void
    {
        $existing = array_map(static fn (HandOutRow $row): string => $row->original, $this->rows($round->id));
        $seen = [];
        foreach ($plan->rows as $i => $row) {
            if (isset($seen[$row->original])) {
                throw MaterialsRefused::unusable('materials.plan_twice', "rows[{$i}].original");
            }
            $seen[$row->original] = true;
            if (!\in_array($row->original, $existing, true)) {
                $this->access->original($teacher, $row->original);
            }
            if (null !== $row->opensWith && null === $this->aloneSegment($round, $row->opensWith)) {
                throw MaterialsRefused::unusable('materials.plan_no_segment', "rows[{$i}].opensWith");
            }
        }
        $this->transaction->run(function () use ($round, $plan, $seen): void {
            $this->em->lock($round, LockMode::PESSIMISTIC_WRITE);
            $rows = $plan->rows;
            foreach ($this->rows($round->id) as $row) {
                if (!isset($seen[$row->original]) && !\in_array($row->original, $plan->knew, true)) {
                    $rows[] = new RowPlan(
                        $row->original,
                        $row->way,
                        array_map(
                            static fn (string $group, array $cell): CellView => new CellView(
                                $group,
                                $cell['way'],
                                $cell['variant'],
                            ),
                            array_keys($row->cells),
                            array_values($row->cells),
                        ),
                        $row->variant,
                        ByAttribute::fromVariants($row->by),
                        $row->opensWith,
                    );
                }
            }
            $this->write($round, $rows);
            $this->hasItsOwn($round);
            $this->passOn($round);
        });
        $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
    }

    /**
     * One more row at the end: a copy for each group.
     */
    public function append(Round $round, StoredOriginal $original): void
    {
        $this->add($round, new RowPlan($original->id, HandOutWay::Together), \count($this->rows($round->id)));
        $this->em->flush();
        $this->hasItsOwn($round);
        $this->passOn($round);
    }

    /**
     * An original is work for a segment in which everybody works alone: a copy each, that opens with it.
     *
     * @throws MaterialsRefused if the segment is none of those, or not in the running order
     */
    public function giveAlone(Teacher $teacher, Segment $segment, string $originalId): Round
    {
        $order = $this->orders->forLesson($segment->lesson);
        $of = $order->roundFor($segment->id);
        $round = null === $of ? null : $this->em->find(Segment::class, $of)?->round;
        if (SegmentKind::Alone !== $segment->kind || null === $round) {
            throw MaterialsRefused::unusable('materials.plan_no_segment', 'original');
        }
        $rows = [];
        foreach ($this->rows($round->id) as $row) {
            if ($row->original !== $originalId) {
                $rows[] = self::planned($row, $row->opensWith);
            }
        }
        $this->save(
            $teacher,
            $round,
            new SavePlan([...$rows, new RowPlan($originalId, HandOutWay::Each, [], '', null, $segment->id)]),
        );

        return $round;
    }

    /**
     * A round that takes up where another was: the same rows, cells of the groups that are there. Work that is done
     * alone is done once in a lesson, and in another lesson in the segment at the same place.
     *
     * @param array<string, string> $groups a group there => the group here
     */
    public function carryOver(Round $from, Round $to, array $groups): void
    {
        $isSameLesson = $from->lesson === $to->lesson;
        $rows = [];
        foreach ($this->rows($from->id) as $row) {
            $opens = null;
            if (null !== $row->opensWith) {
                $opens = $isSameLesson ? null : $this->samePlace($row->opensWith, $to->lesson);
                if (null === $opens) {
                    continue;
                }
            }
            $rows[] = self::planned($row, $opens, $groups);
        }
        $own = $isSameLesson
            ? array_filter($this->rows($to->id), static fn (HandOutRow $row): bool => null !== $row->opensWith)
            : [];
        $this->write($to, [
            ...$rows,
            ...array_map(
                static fn (HandOutRow $row): RowPlan => self::planned($row, $row->opensWith),
                array_values($own),
            ),
        ]);
    }

    /**
     * @param array<string, string>|null $groups a group there => the group here; null: they are the same
     */
    private static function planned(HandOutRow $row, ?string $opensWith, ?array $groups = null): RowPlan
    {
        $cells = [];
        foreach ($row->cells as $group => $cell) {
            $target = null === $groups ? $group : $groups[$group] ?? null;
            if (null !== $target) {
                $cells[] = new CellView($target, $cell['way'], $cell['variant']);
            }
        }

        return new RowPlan(
            $row->original,
            $row->way,
            $cells,
            $row->variant,
            ByAttribute::fromVariants($row->by),
            $opensWith,
        );
    }

    /**
     * @return string|null the segment of a lesson that stands where this one stands in its own, if everybody works
     *                     alone there
     */
    private function samePlace(string $segmentId, Lesson $lesson): ?string
    {
        $position = $this->em->find(Segment::class, $segmentId)?->position;
        $there =
            null === $position
                ? null
                : $this->em->getRepository(Segment::class)->findOneBy(['lesson' => $lesson, 'position' => $position]);

        return SegmentKind::Alone === $there?->kind ? $there->id : null;
    }

    private function aloneSegment(Round $round, string $id): ?Segment
    {
        $segment = $this->em->find(Segment::class, $id);

        return SegmentKind::Alone === $segment?->kind && $segment->lesson === $round->lesson ? $segment : null;
    }

    /**
     * A round hands out what another does from now on, until it is given a plan of its own; one that has such a plan
     * keeps it.
     */
    public function share(Round $round, Round $with): void
    {
        $shared = $this->em->find(SharedPlan::class, $round->id);
        if ($round === $with || (null === $shared && [] !== $this->rows($round->id))) {
            return;
        }
        $with = $this->em->find(SharedPlan::class, $with->id)->with ?? $with;
        if (null === $shared && $round !== $with) {
            $this->em->persist(new SharedPlan($round, $with));
            $this->em->flush();
        }
        $this->carryOver($with, $round, $this->placesOf($with, $round));
    }

    /**
     * A lesson begun from another: rounds that shared a plan there share it here.
     *
     * @param array<string, string> $rounds a round there => the round here
     */
    public function shareAsBefore(array $rounds): void
    {
        foreach ($rounds as $was => $newRound) {
            $with = $this->em->find(SharedPlan::class, $was)?->with->id;
            [$round, $base] = [
                $this->em->find(Round::class, $newRound),
                null === $with || !isset($rounds[$with]) ? null : $this->em->find(Round::class, $rounds[$with]),
            ];
            if (null !== $round && null !== $base) {
                $this->em->persist(new SharedPlan($round, $base));
            }
        }
        $this->em->flush();
    }

    /**
     * What was planned for a round is planned for those that share its plan, but for groups that are or were out.
     */
    private function passOn(Round $round): void
    {
        foreach ($this->em->getRepository(SharedPlan::class)->findBy(['with' => $round]) as $shared) {
            if (Phase::Planned === $shared->round->state()->phase($this->clock->ms())) {
                $this->carryOver($round, $shared->round, $this->placesOf($round, $shared->round));
            }
        }
    }

    private function hasItsOwn(Round $round): void
    {
        $shared = $this->em->find(SharedPlan::class, $round->id);
        if (null !== $shared) {
            $this->em->remove($shared);
            $this->em->flush();
        }
    }

    /**
     * The groups of two rounds, one for one: the same ones where the grouping is the same, else by their order.
     *
     * @return array<string, string> a group there => the group here
     */
    public function placesOf(Round $there, Round $round): array
    {
        $of = $this->byPosition($round);
        $groups = [];
        foreach ($this->byPosition($there) as $position => $group) {
            if (isset($of[$position])) {
                $groups[$group] = $of[$position];
            }
        }

        return $groups;
    }

    /**
     * @return array<int, string>
     */
    private function byPosition(Round $round): array
    {
        $groups = [];
        foreach ($this->em->getRepository(WorkGroup::class)->findBy(['grouping' => $round->grouping]) as $group) {
            if (null !== $group->position) {
                $groups[$group->position] = $group->id;
            }
        }

        return $groups;
    }

    /**
     * In place of what stood in the plan before.
     *
     * @param list<RowPlan> $rows
     */
    private function write(Round $round, array $rows): void
    {
        $this->em
            ->createQuery('DELETE FROM '.HandOutCell::class.' h WHERE h.round = ?1')
            ->setParameter(1, $round->id)
            ->execute();
        foreach ($rows as $position => $row) {
            $this->add($round, $row, $position);
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
                $this->em->persist(
                    new HandOutCell(
                        Uuid::v7()->toRfc4122(),
                        $round,
                        $cell->original,
                        $group,
                        $cell->way,
                        $cell->variant,
                        $cell->position,
                    ),
                );
            }
        }
        $this->em->flush();
    }

    private function add(Round $round, RowPlan $row, int $position): void
    {
        $original = $this->em->find(StoredOriginal::class, $row->original) ?? throw MaterialsRefused::missing();
        $known = array_column($original->variants, 'id');
        $variant = static fn (string $id): string => \in_array($id, $known, true) ? $id : '';
        $opens = null === $row->opensWith ? null : $this->aloneSegment($round, $row->opensWith);
        // What everybody does alone is a copy each, whatever was said of groups before.
        $way = null === $opens ? $row->way : HandOutWay::Each;
        $this->em->persist(
            new HandOutCell(
                Uuid::v7()->toRfc4122(),
                $round,
                $original,
                null,
                $way,
                $variant($row->variant),
                $position,
                null,
                null,
                $opens,
            ),
        );
        $seen = [];
        foreach (null === $opens ? $row->cells : [] as $cell) {
            $group = $this->em->find(WorkGroup::class, $cell->group);
            if (null === $group || $group->grouping->id !== $round->grouping->id || isset($seen[$cell->group])) {
                continue; // a table that was taken away meanwhile
            }
            $seen[$cell->group] = true;
            $this->em->persist(
                new HandOutCell(
                    Uuid::v7()->toRfc4122(),
                    $round,
                    $original,
                    $group,
                    $cell->way,
                    $variant($cell->variant),
                    $position,
                ),
            );
        }
        $values = [];
        foreach ($row->by->values ?? [] as $pair) {
            $value = trim($pair->value);
            if (!isset($values[$value])) {
                $values[$value] = true;
                $this->em->persist(
                    new HandOutCell(
                        Uuid::v7()->toRfc4122(),
                        $round,
                        $original,
                        null,
                        $row->way,
                        $variant($pair->variant),
                        $position,
                        trim($row->by->attribute ?? ''),
                        $value,
                    ),
                );
            }
        }
    }

    /**
     * @return list<HandOutCell>
     */
    private function cells(string $roundId): array
    {
        /** @var list<HandOutCell> $cells */
        $cells = $this->em
            ->createQueryBuilder()
            ->select('h')
            ->from(HandOutCell::class, 'h')
            ->where('h.round = :round')
            ->setParameter('round', $roundId)
            ->orderBy('h.position')
            ->addOrderBy('h.id')
            ->getQuery()
            ->getResult();

        return $cells;
    }
}
