<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\Markdown;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\CopiesMade;
use FreshHuddle\App\Materials\HandOut\Copy\CopyReader;
use FreshHuddle\App\Materials\HandOut\Copy\CopyStore;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\Copy\DueCopies;
use FreshHuddle\App\Materials\HandOut\Plan\ByAttribute;
use FreshHuddle\App\Materials\HandOut\Plan\CellView;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Materials\HandOut\Plan\RowDue;
use FreshHuddle\App\Materials\HandOut\Plan\RowView;
use FreshHuddle\App\Materials\Margin\Margin;
use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\App\Materials\Writing\SlotStore;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\CopyDue;
use FreshHuddle\Core\Materials\CopyName;
use FreshHuddle\Core\Materials\CopyUpdate;
use FreshHuddle\Core\Materials\HandOutRow;
use FreshHuddle\Core\Materials\Page;

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
        private CopyReader $reader,
        private FloorStore $floors,
        private Stream $stream,
        private Words $words,
        private Markdown $markdown,
        private Pages $pages,
        private SlotStore $slots,
        private MediaShelf $shelf,
        private Margin $margin,
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
            $original = $this->master($row);
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
     * Makes the copies that are missing and brings the others up to date where nobody has written yet.
     *
     * @param bool $goOn new copies begin with what was written in the lesson this one was begun from; pages that have
     *                   come
     *                   to the original since are added
     *
     * @throws MaterialsRefused while there is nothing to hand out, nobody to get it, or an original is not finished
     */
    public function makeCopies(Round $round, bool $goOn = false): CopiesMade
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
            $unfinished = $this->cupboard->original($this->master($row))->unfinished();
            if (null !== $unfinished) {
                throw MaterialsRefused::because($unfinished->says, 'blocks');
            }
        }
        $made = $brought = 0;
        $kept = [];
        foreach ($rows as $row) {
            [$more, $newer, $left] = $this->em->wrapInTransaction(
                fn (): array => $this->makeRow($round, $row, $floor, $goOn),
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
     * @return list<CopySummary>
     */
    public function summaries(string $roundId): array
    {
        return $this->reader->summaries($roundId);
    }

    /**
     * The worksheets of a lesson that everybody works on alone.
     *
     * @return list<AloneWork> in the order of the running order
     */
    public function alone(Lesson $lesson): array
    {
        /** @var list<HandOutCell> $cells */
        $cells = $this->em
            ->createQueryBuilder()
            ->select('h', 's', 'r', 'o')
            ->from(HandOutCell::class, 'h')
            ->join('h.opensWith', 's')
            ->join('h.round', 'r')
            ->join('h.original', 'o')
            ->where('s.lesson = :lesson AND s.position IS NOT NULL AND h.group IS NULL AND h.attribute IS NULL')
            ->setParameter('lesson', $lesson)
            ->orderBy('s.position')
            ->addOrderBy('h.position')
            ->getQuery()
            ->getResult();
        $work = [];
        foreach ($cells as $cell) {
            $work[] = new AloneWork(
                $cell->opensWith->id ?? '',
                $cell->original->id,
                $cell->original->title,
                $cell->round->id,
                $cell->round->segment->id,
            );
        }

        return $work;
    }

    /**
     * Makes the copies for a segment in which everybody works alone, so far as they are missing and the original is
     * finished.
     */
    public function makeAlone(Segment $segment): void
    {
        foreach (SegmentKind::Alone === $segment->kind ? $this->alone($segment->lesson) : [] as $work) {
            $round = $work->segment === $segment->id ? $this->em->find(Round::class, $work->round) : null;
            if (null === $round) {
                continue;
            }
            foreach ($this->plan->rows($round->id) as $row) {
                if (
                    $row->original === $work->original
                    && null === $this->cupboard->original($this->master($row))->unfinished()
                ) {
                    $floor = $this->floors->now($round->grouping->id);
                    $this->em->wrapInTransaction(fn (): array => $this->makeRow($round, $row, $floor, true));
                }
            }
        }
    }

    /**
     * The sheets of a segment in which everybody works alone, made or not.
     *
     * @return list<SheetView> without originals that are not finished
     */
    public function aloneSheets(Segment $segment, string $student): array
    {
        $sheets = $rounds = [];
        foreach ($this->alone($segment->lesson) as $work) {
            if ($work->segment === $segment->id && !isset($rounds[$work->round])) {
                $rounds[$work->round] = true;
                $round = $this->em->find(Round::class, $work->round);
                $sheets = [...$sheets, ...null === $round ? [] : $this->sheets($round, $student, $segment->id)];
            }
        }

        return $sheets;
    }

    /**
     * The sheets a member of a group gets by the plan as it is now, made or not: as they are in the cupboard.
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
                $master = $this->master($row);
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

    /**
     * The copies a round should have.
     *
     * @return list<RowDue> in the order of the plan
     */
    public function due(Round $round, Floor $floor): array
    {
        $rows = [];
        foreach ($this->plan->rows($round->id) as $row) {
            $master = $this->master($row);
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

    /**
     * @return array<string, int> in how many slots of each copy of a round somebody has written, where somebody has
     */
    public function worked(string $roundId): array
    {
        return $this->reader->worked($roundId);
    }

    /**
     * @return array<string, string> titles of the originals that a round has copies of, by id
     */
    public function titles(string $roundId): array
    {
        return $this->reader->titles($roundId);
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
            $unfinished = $this->cupboard->original($this->master($row))->unfinished();
            if (null !== $unfinished) {
                throw MaterialsRefused::because($unfinished->says, 'blocks');
            }
            $this->em->wrapInTransaction(fn (): array => $this->makeRow($round, $row, $floor, true));
        }
    }

    /**
     * Makes the copies of groups that have just come about, where the round has any; those of others are left alone.
     *
     * @param list<string>          $groups
     * @param array<string, string> $partOf whose copies theirs begin with, by group
     * @param list<string>          $seats  students who have just got a seat: they get the copies of their own
     * @param bool                  $alone  only of work that is done alone
     */
    public function makeForNew(
        Round $round,
        Floor $floor,
        array $groups,
        array $partOf,
        array $seats = [],
        bool $alone = false,
    ): void {
        foreach ($partOf as $part => $whole) {
            $this->plan->split($round, $whole, (string) $part);
        }
        $copies = $this->reader->summaries($round->id);
        $there = [];
        foreach ($copies as $copy) {
            $there[$copy->original][$copy->groupId ?? ''] = $copy->id;
        }
        foreach ($this->plan->rows($round->id) as $row) {
            $master = $this->master($row);
            $original = $this->cupboard->original($master);
            if (
                !isset($there[$row->original])
                || null !== $original->unfinished()
                || ($alone && null === $row->opensWith)
            ) {
                continue;
            }
            $wanted = $sources = $members = [];
            foreach ($this->due->forHandOut($row, $floor, null, $round->lesson->class) as $due) {
                $sitsThere =
                    null !== $due->student
                    && (\in_array($due->student, $seats, true)
                        || \in_array($floor->groupOf($due->student)?->id, $groups, true));
                if (!$sitsThere && !\in_array($due->group, $groups, true)) {
                    continue;
                }
                $source = null === $due->group ? null : $there[$row->original][$partOf[$due->group] ?? ''] ?? null;
                $pages =
                    null === $source
                        ? Pages::text($original->forCopies($due->variant))
                        : json_encode(
                            $this->store->held($source)['pages'],
                            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE,
                        );
                $wanted[] = [
                    'due' => $due,
                    'name' => $this->name($round, $floor, $due, $master->title),
                    'pages' => $pages,
                ];
                if (null !== $source) {
                    $sources["{$due->group}|{$due->student}"] = $source;
                    $members["{$due->group}|{$due->student}"] =
                        null === $due->group ? [] : $floor->group($due->group)->students;
                }
            }
            [$made] = $this->store->make($round->id, $master->id, $master->version, $master->title, $wanted, false);
            foreach (array_intersect_key($made, $sources) as $whose => $copy) {
                $this->slots->goOn($sources[$whose], $copy, $members[$whose] ?? null);
                $this->shelf->goOn($sources[$whose], $copy);
                $this->margin->goOn($sources[$whose], $copy, $members[$whose] ?? null);
            }
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

    /**
     * @return array{int, int, list<string>}
     */
    private function makeRow(Round $round, HandOutRow $row, Floor $floor, bool $goOn): array
    {
        $master = $this->master($row);
        $original = $this->cupboard->original($master);
        $earlier = $goOn && null !== $round->lesson->begunFrom ? $this->store->earlier($round->id, $master->id) : [];
        $pages = [];
        $copies = [];
        foreach ($this->due->forHandOut($row, $floor, null, $round->lesson->class) as $due) {
            $pages[$due->variant] ??= Pages::text($original->forCopies($due->variant));
            $before = $earlier["{$due->group}|{$due->student}"] ?? null;
            $copies[] = [
                'due' => $due,
                'name' => $this->name($round, $floor, $due, $master->title),
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
            $this->slots->goOn($earlier[$whose]['id'], $copy);
            $this->shelf->goOn($earlier[$whose]['id'], $copy);
            $this->margin->goOn($earlier[$whose]['id'], $copy);
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

    private function name(Round $round, Floor $floor, CopyDue $due, string $title): string
    {
        $class = $round->lesson->class->name;
        foreach ($floor->groups as $i => $group) {
            if ($group->id === $due->group) {
                return CopyName::for($class, $i + 1, \count($floor->groups), $group->name, $title);
            }
        }

        return CopyName::ofOne(
            $class,
            null === $due->student ? null : $this->em->find(Student::class, $due->student)?->name,
            $title,
        );
    }

    private function master(HandOutRow $row): StoredOriginal
    {
        return $this->em->find(StoredOriginal::class, $row->original) ?? throw MaterialsRefused::missing();
    }
}
