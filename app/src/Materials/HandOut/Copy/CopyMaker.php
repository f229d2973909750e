<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Materials\CopyUpdate;
use FreshHuddle\Core\Materials\HandOutRow;
use FreshHuddle\Core\Materials\Page;

/**
 * Makes the copies of one row of a hand-out plan.
 */
final readonly class CopyMaker
{
    public function __construct(
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private CopyStore $store,
        private CopyNames $names,
        private EarlierWork $earlierWork,
        private Pages $pages,
    ) {
    }

    /**
     * Makes what is missing, and brings up to date where nobody has written yet. New copies begin with what was written
     * in the lesson this one was begun from.
     *
     * @return array{int, int, list<string>} how many were made, how many brought up to date, and the names of those
     *     left alone because somebody has written in them
     */
    public function makeRow(Round $round, HandOutRow $row, Floor $floor): array
    {
        $master = $this->plan->original($row);
        $original = $this->cupboard->original($master);
        $earlier = null !== $round->lesson->begunFrom ? $this->store->earlier($round->id, $master->id) : [];
        $pages = [];
        $copies = [];
        foreach ($this->due->forHandOut($row, $floor, null, $round->lesson->class) as $due) {
            $pages[$due->variant] ??= Pages::text($original->forCopies($due->variant));
            $before = $earlier["{$due->group}|{$due->student}"] ?? null;
            $copies[] = [
                'due' => $due,
                'name' => $this->names->build($round, $floor, $due, $master->title),
                'pages' => null === $before
                        ? $pages[$due->variant]
                        : Pages::text($this->added($before, $original->forCopies($due->variant))),
            ];
        }
        [$made, $brought, $kept] = $this->store->make(
            $round->id,
            $master->id,
            $master->version,
            $master->title,
            $copies,
        );
        foreach (array_intersect_key($made, $earlier) as $whose => $copy) {
            $this->earlierWork->goOn($earlier[$whose]['id'], $copy);
        }

        return [\count($made), $brought, $kept];
    }

    /**
     * @param array{pages: array<array-key, mixed>, worked: list<string>, ...} $before
     * @param list<Page>                                                       $original
     *
     * @return list<Page> the copy as it was, with what has come to the original since
     */
    private function added(array $before, array $original): array
    {
        $pages = array_map(static fn (PageView $page): Page => $page->page(), $this->pages->read($before['pages']));

        return CopyUpdate::between($pages, $original, $before['worked'])->pages;
    }
}
