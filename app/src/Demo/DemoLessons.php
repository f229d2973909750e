<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\MakeLesson;
use FreshHuddle\App\Lesson\Order\ChangeOrder;
use FreshHuddle\App\Lesson\Order\EditSegment;
use FreshHuddle\App\Lesson\Order\OrderedSegment;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\HandOut\Plan\CellView;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Materials\HandOut\Plan\RowPlan;
use FreshHuddle\App\Materials\HandOut\Plan\SavePlan;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * Plans the demo lessons: running order, groups, worksheet and who gets it.
 *
 * @phpstan-type LessonData array{title: string, minutes: int, inDays: int, order: list<array{string, int}>,
 *   instructions: string, groups: list<string>, seed: int, original: array<string, mixed>|null}
 */
final readonly class DemoLessons
{
    public function __construct(
        private Lessons $lessons,
        private RunningOrders $orders,
        private DemoGroups $groups,
        private Cupboard $cupboard,
        private HandOutPlan $plan,
        private FloorStore $floors,
        private Shape $shape,
        private Clock $clock,
    ) {
    }

    /**
     * @param LessonData $data
     */
    public function create(SchoolClass $class, array $data): void
    {
        $round = $this->orders->roundNow(
            $this->lessons->create(
                $class,
                new MakeLesson($data['title'], $data['minutes'], $this->soon($data['inDays'])),
            ),
        );
        $this->orders->edit($round->segment, new EditSegment(instructions: $data['instructions']));
        $first = $round->segment->id;
        $order = [];
        foreach ($data['order'] as [$kind, $minutes]) {
            $order[] = new OrderedSegment(
                SegmentKind::from($kind),
                $minutes,
                SegmentKind::Round->value === $kind ? $first : null,
            );
            $first = SegmentKind::Round->value === $kind ? null : $first;
        }
        $this->orders->change($round->lesson, new ChangeOrder(0, $order));
        $this->groups->create($round, $data['groups'], $data['seed']);
        if (null !== $data['original']) {
            $original = $this->cupboard->add(
                $class->teacher,
                $this->shape->read(SaveOriginal::class, $data['original'] + ['basedOn' => 0]),
            );
            $cells = [];
            foreach ($this->floors->now($round->grouping->id)->groups as $i => $group) {
                $variant = $original->variants[$i]['id'] ?? null;
                if (\is_string($variant)) {
                    $cells[] = new CellView($group->id, HandOutWay::Together, $variant);
                }
            }
            $this->plan->save(
                $class->teacher,
                $round,
                new SavePlan([new RowPlan($original->id, HandOutWay::Together, $cells)]),
            );
        }
    }

    public function createLecture(SchoolClass $class): void
    {
        $round = $this->orders->roundNow(
            $this->lessons->create($class, new MakeLesson('Three coasts, thirty tables', 75, $this->soon(2))),
        );
        $this->groups->deal($round, 30, 7);
    }

    /**
     * @return int the next full five minutes, so many days ahead; milliseconds since 1970
     */
    private function soon(int $days): int
    {
        return 300_000 * (intdiv($this->clock->ms(), 300_000) + 1) + 86_400_000 * $days;
    }
}
