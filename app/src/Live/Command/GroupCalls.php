<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Live\Command\MakeCall;
use FreshHuddle\Core\Live\Command\TakeBackCall;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\CallAbout;

/**
 * Carries out what students ask of a lesson: a group calls for the teacher.
 */
final readonly class GroupCalls
{
    public function __construct(
        private EntityManagerInterface $em,
        private EventStore $events,
        private FloorStore $floors,
        private RunningOrders $orders,
        private SignalStore $signals,
        private Keeper $keeper,
        private ChangePublisher $publisher,
        private Transaction $transaction,
    ) {
    }

    /**
     * A group calls for the teacher, or needs them no longer.
     *
     * @param CallAbout|null $about null: it takes its call back
     *
     * @throws LiveRefused while the student sits in no group that is at work
     */
    public function call(StudentUser $student, ?CallAbout $about): void
    {
        $lesson = null === $student->lessonId ? null : $this->em->find(Lesson::class, $student->lessonId);
        if (null === $lesson || null !== $lesson->endedAt) {
            throw LiveRefused::unusable('live.nobody_is_out');
        }
        $done = $this->transaction->run(function () use ($lesson, $student, $about): array {
            $this->events->lock($lesson->id);
            $this->em->refresh($lesson);
            $round = $this->orders->roundNow($lesson, fresh: true);
            $group =
                $this->floors->now($round->grouping->id)->groupOf($student->id) ??
                throw LiveRefused::unusable('live.no_group');
            $signals = $this->signals->forRound($round->id);
            try {
                return $this->keeper->apply(
                    $round,
                    null === $about
                        ? new TakeBackCall($group->id, $student->id, $signals)
                        : new MakeCall($group->id, $student->id, $about, $signals),
                    Actor::student($student->id),
                );
            } catch (CommandRefused $e) {
                throw LiveRefused::because($e->says);
            }
        });
        $this->publisher->tell($lesson, $done);
    }
}
