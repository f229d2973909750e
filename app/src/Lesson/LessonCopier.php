<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Grouping\Desk\Regroup;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Event\LessonBegun;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\Notice\PrepareNotice;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\FromGroups;
use FreshHuddle\App\Lesson\Round\Round;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Begins a lesson as another one was planned.
 */
final readonly class LessonCopier
{
    public function __construct(
        private RunningOrders $orders,
        private Regroup $regroup,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * The running order, times and words of another lesson; its groups, or groups made in the same way with new
     * partners.
     */
    public function begin(Lesson $lesson, Lesson $from, FromGroups $groups): void
    {
        $groupings = $rounds = $segments = [];
        $before = array_values(
            array_filter(
                array_map(
                    static fn (Segment $segment): ?Grouping => $segment->round?->grouping,
                    $this->orders->segments($from),
                ),
            ),
        );
        foreach ($this->orders->segments($from) as $old) {
            $segments[] = $segment = new Segment(Uuid::v7()->toRfc4122(), $lesson, null, $old->kind, $old->minutes);
            $segment->instructions = $old->instructions;
            if (null !== $old->round) {
                $was = $old->round->grouping;
                $groupings[$was->id] ??= $this->grouping($lesson, $was, $groups, [
                    ...$before,
                    ...array_values($groupings),
                ]);
                $round = new Round(Uuid::v7()->toRfc4122(), $segment, $groupings[$was->id]);
                $round->lookSeconds = $old->round->lookSeconds;
                $round->callBackSeconds = $old->round->callBackSeconds;
                $round->autoCallBack = $old->round->autoCallBack;
                $round->prepare(
                    array_values(
                        $old->round->notices
                            ->map(
                                static fn (PreparedNotice $notice): PrepareNotice => new PrepareNotice(
                                    $notice->beforeEnd,
                                    $notice->seconds,
                                    $notice->text,
                                ),
                            )
                            ->toArray(),
                    ),
                );
                $rounds[$old->round->id] = $round->id;
            }
        }
        $this->orders->arrange($lesson, $segments);
        $this->events->dispatch(new LessonBegun($from->id, $lesson->id, $rounds));
    }

    /**
     * @param list<Grouping> $planned groups whose partners are not new either
     */
    private function grouping(Lesson $lesson, Grouping $was, FromGroups $groups, array $planned): Grouping
    {
        if (FromGroups::Same === $groups && $was->class === $lesson->class && null === $was->removedAt) {
            return $was;
        }

        return $this->regroup->likeBefore($was, $lesson->class, mb_substr($lesson->title, 0, 80), $planned);
    }
}
