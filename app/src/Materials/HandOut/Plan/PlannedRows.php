<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\HandOut\Copy\CopyStore;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\Copy\DueCopies;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;

/**
 * Reads the hand-out plan of a round beside the copies there are.
 */
final readonly class PlannedRows
{
    public function __construct(
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private CopyStore $store,
        private Words $words,
    ) {
    }

    /**
     * The plan of a round beside what there is.
     *
     * @param list<CopySummary> $copies the round's
     *
     * @return list<RowView>
     */
    public function rows(Round $round, Floor $floor, array $copies): array
    {
        $there = [];
        foreach ($copies as $copy) {
            $there[$copy->original]["{$copy->groupId}|{$copy->studentId}"] = $copy;
        }
        $views = [];
        foreach ($this->plan->rows($round->id) as $row) {
            $original = $this->plan->original($row);
            $master = $this->cupboard->original($original);
            $unfinished = $master->unfinished();
            $outdated = 0;
            $missing = [];
            foreach ($this->due->forHandOut($row, $floor, null, $round->lesson->class) as $due) {
                $copy = $there[$row->original]["{$due->group}|{$due->student}"] ?? null;
                if (null === $copy) {
                    $missing["{$due->group}|{$due->student}"] = true;
                }
                $outdated +=
                    null !== $copy
                    && ($copy->version !== $original->version
                        || $copy->variant !== $due->variant
                        || $copy->way !== $due->way)
                        ? 1
                        : 0;
            }
            $views[] = new RowView(
                $row->original,
                $original->title,
                $original->version,
                null === $unfinished ? null : $this->words->say($unfinished->says),
                $master->variants,
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
                \count($missing),
                // Asked for only while something is to be made: a lesson is looked at far more often.
                [] === $missing || null === $round->lesson->begunFrom
                    ? 0
                    : \count(array_intersect_key($missing, $this->store->earlier($round->id, $row->original))),
                $outdated,
                [] !==
                    array_filter(
                        $master->blocks(),
                        static fn (Block $block): bool => BlockKind::SpokenNote === $block->kind,
                    ),
                $row->opensWith,
            );
        }

        return $views;
    }

    /**
     * The copies a round should have.
     *
     * @return list<RowDue> in the order of the plan
     */
    public function due(Round $round, Floor $floor): array
    {
        $rows = [];
        foreach ($this->plan->rows($round->id) as $row) {
            $master = $this->plan->original($row);
            $isUnfinished = null !== $this->cupboard->original($master)->unfinished();
            $rows[] = new RowDue(
                $master->id,
                $master->title,
                $master->version,
                $isUnfinished,
                $this->due->forHandOut($row, $floor, null, $round->lesson->class),
                null === $round->lesson->begunFrom ? [] : $this->store->earlier($round->id, $master->id),
            );
        }

        return $rows;
    }
}
