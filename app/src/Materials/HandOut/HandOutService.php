<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\CopiesMade;
use FreshHuddle\App\Materials\HandOut\Copy\CopyMaker;
use FreshHuddle\App\Materials\HandOut\Copy\CopyStore;
use FreshHuddle\App\Materials\HandOut\Copy\DueCopies;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\HandOutRow;

/**
 * The copies of a round, as its hand-out plan wants them.
 */
final readonly class HandOutService
{
    public function __construct(
        private EntityManagerInterface $em,
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private CopyStore $store,
        private FloorStore $floors,
        private Stream $stream,
        private CopyMaker $maker,
        private AloneReader $alone,
        private Transaction $transaction,
    ) {
    }

    /**
     * Makes the copies that are missing and brings the others up to date where nobody has written yet. New ones begin
     * with what was written in the lesson this one was begun from; pages that have come to the original since are
     * added.
     *
     * @throws MaterialsRefused while there is nothing to hand out, nobody to get it, or an original is not finished
     */
    public function makeCopies(Round $round): CopiesMade
    {
        $floor = $this->floors->now($round->grouping->id);
        $rows = array_filter(
            $this->plan->rows($round->id),
            fn (HandOutRow $row): bool => [] !== $this->due->forHandOut($row, $floor, null, $round->lesson->class)
                || [] === $floor->groups,
        );
        if ([] === $rows) {
            throw MaterialsRefused::unusable('materials.no_original');
        }
        if ([] === $floor->groups) {
            throw MaterialsRefused::unusable('materials.no_groups');
        }
        foreach ($rows as $row) {
            $unfinished = $this->cupboard->original($this->plan->original($row))->unfinished();
            if (null !== $unfinished) {
                throw MaterialsRefused::because($unfinished->says, 'blocks');
            }
        }
        $made = $brought = 0;
        $kept = [];
        foreach ($rows as $row) {
            [$more, $newer, $left] = $this->transaction->run(
                fn (): array => $this->maker->makeRow($round, $row, $floor),
            );
            $made += $more;
            $brought += $newer;
            $kept = [...$kept, ...$left];
        }
        $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
        $this->stream->publish([Audience::everybody($round->lesson->id)], new RefreshHint());

        return new CopiesMade($made, $brought, $kept);
    }

    /**
     * Makes the copies for a segment in which everybody works alone, so far as they are missing and the original is
     * finished.
     */
    public function makeAlone(Segment $segment): void
    {
        foreach (SegmentKind::Alone === $segment->kind ? $this->alone->forLesson($segment->lesson) : [] as $work) {
            $round = $work->segment === $segment->id ? $this->em->find(Round::class, $work->round) : null;
            if (null === $round) {
                continue;
            }
            foreach ($this->plan->rows($round->id) as $row) {
                if (
                    $row->original === $work->original
                    && null === $this->cupboard->original($this->plan->original($row))->unfinished()
                ) {
                    $floor = $this->floors->now($round->grouping->id);
                    $this->transaction->run(fn (): array => $this->maker->makeRow($round, $row, $floor));
                }
            }
        }
    }

    /**
     * Makes the copies of one original that are missing, and brings those up to date where nobody has written. They
     * begin with what was written last time where there was one. Safe to do twice.
     *
     * @throws MaterialsRefused if the original is not finished
     */
    public function makeOf(Round $round, string $originalId): void
    {
        $floor = $this->floors->now($round->grouping->id);
        foreach ($this->plan->rows($round->id) as $row) {
            if ($row->original !== $originalId) {
                continue;
            }
            $unfinished = $this->cupboard->original($this->plan->original($row))->unfinished();
            if (null !== $unfinished) {
                throw MaterialsRefused::because($unfinished->says, 'blocks');
            }
            $this->transaction->run(fn (): array => $this->maker->makeRow($round, $row, $floor));
        }
    }

    /**
     * Takes away copies that nobody gets any more, with all that was written in them.
     *
     * @param list<string> $copyIds
     */
    public function retire(Round $round, array $copyIds): void
    {
        $this->store->takeAway($round->id, $copyIds);
    }
}
