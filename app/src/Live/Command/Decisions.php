<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\CameFrom;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * What a command means as the lesson stands: which rounds it is for, and what comes before it.
 */
final readonly class Decisions
{
    public function __construct(
        private RunningOrders $orders,
        private LessonRepository $lessons,
        private FloorStore $floors,
        private Clock $clock,
        private CommandMaker $commands,
        private Keeper $keeper,
        private LessonEnd $end,
        private SendOutReversal $reversal,
    ) {
    }

    /**
     * @return list<Told> what everybody is to be told
     *
     * @throws CommandRefused
     */
    public function decide(Lesson $lesson, GiveCommand $request, Actor $actor): array
    {
        $now = $this->orders->roundNow($lesson, fresh: true);
        if (\in_array($request->kind, [CommandKind::Begin, CommandKind::SendOut, CommandKind::Reopen], true)) {
            $this->lessons->mayTakeClass($lesson, $request->leaving);
        }
        if (CommandKind::End === $request->kind || CommandKind::Reopen === $request->kind) {
            return $this->end->end($lesson, $now, $this->commands->make($request, $now, $actor), $actor);
        }
        if (null !== $lesson->endedAt) {
            throw LiveRefused::unusable('live.lesson_is_over');
        }
        if (CommandKind::Begin === $request->kind) {
            $segment = $this->segment($lesson, $request->segment);
            if (null !== $segment->round) {
                throw LiveRefused::unusable('live.send_out_first', 'segment');
            }
            $last = $lesson->segment->round ?? $now;

            return $this->keeper->apply($last, $this->commands->make($request, $last, $actor), $actor);
        }
        if (CommandKind::TakeBack === $request->kind) {
            return $this->reversal->takeBack($lesson, $now, $this->commands->make($request, $now, $actor), $actor);
        }
        if (CommandKind::SendOut !== $request->kind) {
            return $this->keeper->apply($now, $this->commands->make($request, $now, $actor), $actor);
        }
        $round =
            null === $request->segment
                ? $now
                : $this->segment($lesson, $request->segment)->round ??
                    throw LiveRefused::unusable('live.no_groups_here', 'segment');
        if ([] === $this->floors->now($round->grouping->id)->seated()) {
            throw LiveRefused::unusable('live.nobody_seated');
        }
        $messages = [];
        $cameFrom = new CameFrom($lesson->class->currentLessonId, $lesson->segment?->id, $lesson->segmentSince);
        if ($lesson->segment !== $round->segment) {
            // From round to round: who still works in the one before goes on from there, and until then it can be taken
            // back.
            if (
                null !== $lesson->segment?->round
                && $lesson->segment->round->state()->phase($this->clock->ms())->isUnderWay()
            ) {
                $messages = $this->keeper->apply($lesson->segment->round, new CallBack($round->lookSeconds), $actor);
            }
            $begun = new Event(EventKind::SegmentBegun, $this->clock->ms(), ['segment' => $round->segment->id]);
            array_push($messages, ...$this->keeper->keep($round, [$begun], $actor));
        }
        $command = $this->commands->make($request, $round, $actor);
        array_push($messages, ...$this->keeper->apply($round, $command, $actor, $cameFrom));

        return $messages;
    }

    /**
     * @throws LiveRefused if it is not in the lesson's running order
     */
    private function segment(Lesson $lesson, ?string $id): Segment
    {
        return $this->orders->find($lesson, $id) ?? throw LiveRefused::unusable('live.segment_gone', 'segment');
    }
}
