<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\CopyUpdate;
use FreshHuddle\Core\Materials\Page;

/**
 * Later changes to originals, brought to the copies of a round by choice: shown first as a list, then done. What
 * students wrote is never touched.
 */
final readonly class CopyUpdater
{
    public function __construct(
        private EntityManagerInterface $em,
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private CopyStore $store,
        private Pages $pages,
        private FloorStore $floors,
        private Transaction $transaction,
        private Stream $stream,
    ) {
    }

    /**
     * @return list<ChangeView> in the order of the plan and of the pages
     */
    public function changes(Round $round): array
    {
        $counts = [];
        $views = [];
        foreach ($this->updates($round) as ['original' => $original, 'update' => $update]) {
            foreach ($update->changes as ['change' => $change, 'what' => $what]) {
                $key = "{$original->id}|{$change->value}|{$what}";
                $counts[$key] = ($counts[$key] ?? 0) + 1;
                $views[$key] = new ChangeView($original->title, $change, $what, $counts[$key]);
            }
        }

        return array_values($views);
    }

    /**
     * @return int how many copies were brought up to date
     *
     * @throws MaterialsRefused if an original is not finished
     */
    public function update(Round $round): int
    {
        $brought = $this->transaction->run(function () use ($round): int {
            $updates = $this->updates($round);
            foreach (
                $updates as ['original' => $original, 'update' => $update, 'copy' => $copy, 'variant' => $variant]
            ) {
                $this->store->put($copy, $original->version, $variant, $original->title, Pages::text($update->pages));
            }

            return \count($updates);
        });
        $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
        $this->stream->publish([Audience::everybody($round->lesson->id)], new RefreshHint());

        return $brought;
    }

    /**
     * @return list<array{original: StoredOriginal, copy: string, variant: string, update: CopyUpdate}>
     *     for each copy that is older than its original
     */
    private function updates(Round $round): array
    {
        $floor = $this->floors->now($round->grouping->id);
        $updates = [];
        foreach ($this->plan->rows($round->id) as $row) {
            $master = $this->em->find(StoredOriginal::class, $row->original) ?? throw MaterialsRefused::missing();
            $original = $this->cupboard->original($master);
            $unfinished = $original->unfinished();
            $there = $this->store->there($round->id, $master->id);
            foreach ($this->due->forHandOut($row, $floor, null, $round->lesson->class) as $due) {
                $copy = $there["{$due->group}|{$due->student}"] ?? null;
                if (
                    null === $copy
                    || ($copy->int('original_version') === $master->version && $copy->text('variant') === $due->variant)
                ) {
                    continue;
                }
                if (null !== $unfinished) {
                    throw MaterialsRefused::because($unfinished->says, 'pages');
                }
                ['pages' => $kept, 'worked' => $worked] = $this->store->held($copy->text('id'));
                $pages = array_map(static fn (PageView $page): Page => $page->page(), $this->pages->read($kept));
                $updates[] = [
                    'original' => $master,
                    'copy' => $copy->text('id'),
                    'variant' => $due->variant,
                    'update' => CopyUpdate::between($pages, $original->forCopies($due->variant), $worked),
                ];
            }
        }

        return $updates;
    }
}
