<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\Markdown;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\HandOut\Copy\DueCopies;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\Core\Materials\HandOutRow;

/**
 * The worksheets a student gets by the plan as it is now, made or not: as they are in the cupboard.
 */
final readonly class SheetReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private FloorStore $floors,
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private Markdown $markdown,
        private AloneReader $alone,
    ) {
    }

    /**
     * The sheets of a segment in which everybody works alone, made or not.
     *
     * @return list<SheetView> without originals that are not finished
     */
    public function aloneSheets(Segment $segment, string $student): array
    {
        $sheets = $rounds = [];
        foreach ($this->alone->forLesson($segment->lesson) as $work) {
            if ($work->segment === $segment->id && !isset($rounds[$work->round])) {
                $rounds[$work->round] = true;
                $round = $this->em->find(Round::class, $work->round);
                $sheets = [...$sheets, ...null === $round ? [] : $this->sheets($round, $student, $segment->id)];
            }
        }

        return $sheets;
    }

    /**
     * The sheets a member of a group gets by the plan as it is now.
     *
     * @param string|null $opensWith those that open with this segment; null: those that open with the round
     *
     * @return list<SheetView> without originals that are not finished
     */
    public function sheets(Round $round, string $student, ?string $opensWith = null): array
    {
        $floor = $this->floors->now($round->grouping->id);
        $sheets = [];
        foreach (
            array_filter(
                $this->plan->rows($round->id),
                static fn (HandOutRow $row): bool => $opensWith === $row->opensWith,
            ) as $row
        ) {
            foreach ($this->due->forHandOut($row, $floor, $student, $round->lesson->class) as $due) {
                if (null !== $due->student && $student !== $due->student) {
                    continue;
                }
                $master = $this->plan->original($row);
                $original = $this->cupboard->original($master);
                if (null === $original->unfinished()) {
                    $pages = array_map(PageView::fromPage(...), $original->forCopies($due->variant));
                    $sheets[] = new SheetView(
                        $master->id,
                        $master->title,
                        $due->way,
                        $pages,
                        $this->markdown->fromPages($pages),
                    );
                }
            }
        }

        return $sheets;
    }
}
