<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\Master;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * How far the groups of a round are with their work.
 */
final readonly class Progress
{
    public function __construct(private EntityManagerInterface $em, private HandOutPlan $plan, private Cupboard $cupboard, private CopyReader $copies)
    {
    }

    /**
     * @return array<string, GroupProgress> by group
     */
    public function of(Round $round, Floor $floor): array
    {
        $rows = [];
        foreach ($this->plan->rows($round->id) as $row) {
            $master = $this->em->find(Master::class, $row->original);
            $slots = null === $master ? [] : $this->cupboard->original($master)->slots();
            $alone = \count(array_filter($slots, static fn (Block $slot): bool => $slot->kind->slot()?->isAlone($slot->settings) ?? false));
            $rows[] = ['row' => $row, 'alone' => $alone, 'together' => \count($slots) - $alone];
        }
        $worked = $this->copies->progress($round->id);
        $authors = $this->copies->authors($round->id);
        $progress = [];
        foreach ($floor->groups as $group) {
            $all = 0;
            foreach ($rows as ['row' => $row, 'alone' => $alone, 'together' => $together]) {
                $members = \count($group->students);
                $all += match ($row->cell($group->id)['way']) {
                    HandOutWay::Together => $together + $alone * $members,
                    HandOutWay::Each => ($together + $alone) * $members,
                    HandOutWay::Read, HandOutWay::All, HandOutWay::Nothing => 0,
                };
            }
            $filled = 0;
            $changed = null;
            foreach ([$group->id, ...$group->students] as $owner) {
                $filled += $worked[$owner]['filled'] ?? 0;
                $changed = max($changed ?? 0, $worked[$owner]['at'] ?? 0);
            }
            $progress[$group->id] = new GroupProgress(0 === ($changed ?? 0) ? null : $changed, min($all, $filled), $all, array_values(array_intersect($group->students, $authors)));
        }

        return $progress;
    }
}
