<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\End;
use FreshHuddle\Core\Live\Command\Say;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Carries out what the teacher asks of a lesson: hold it, let core decide, keep the events, then tell everybody.
 */
final readonly class LessonCommandHandler
{
    public function __construct(
        private EntityManagerInterface $em,
        private EventStore $events,
        private RunningOrders $orders,
        private Clock $clock,
        private Decisions $decisions,
        private LessonEnd $end,
        private Keeper $keeper,
        private ChangePublisher $publisher,
        private Transaction $transaction,
    ) {
    }

    /**
     * @param string $key    a command with a key that was seen before in this lesson has been done and is not done
     *                       again
     * @param string $digest of the command: the same key with another one is a mistake
     *
     * @throws LiveRefused if the command makes no sense as things stand, or its key came with another one
     */
    public function carryOut(Lesson $lesson, GiveCommand $request, string $key, string $digest, Actor $actor): void
    {
        $done = $this->transaction->run(function () use ($lesson, $request, $key, $digest, $actor): array {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            if (!$this->events->isFresh($lesson->id, $key, $digest)) {
                return [];
            }
            if ($lesson->template) {
                throw LiveRefused::unusable('lesson.template');
            }
            try {
                return $this->decisions->decide($lesson, $request, $actor);
            } catch (CommandRefused $e) {
                throw LiveRefused::because($e->says);
            }
        });
        $this->publisher->tell($lesson, $done);
    }

    /**
     * What the teacher has prepared to be said now is said, once in a run, while groups are at work.
     */
    public function sayPrepared(PreparedNotice $notice): void
    {
        $lesson = $notice->round->lesson;
        $done = $this->transaction->run(function () use ($lesson, $notice): array {
            $this->events->lock($lesson->id);
            $this->em->refresh($notice->round);
            $moments = $notice->round->state();

            return Phase::Out !== $moments->phase($this->clock->ms())
                || $this->events->wasSaid($lesson->id, $notice->id, $moments->lookFrom ?? 0)
                ? []
                : $this->keeper->apply($notice->round, new Say($notice->text, plan: $notice->id), Actor::clock());
        });
        $this->publisher->tell($lesson, $done);
    }

    /**
     * A lesson nobody has ended, and nobody is in any more: it was over when the class went elsewhere, or fell silent.
     */
    public function endByItself(string $lessonId): void
    {
        $lesson = $this->em->find(Lesson::class, $lessonId);
        if (null === $lesson) {
            return;
        }
        $done = $this->transaction->run(function () use ($lesson): array {
            $this->events->lock($lesson->id);
            $this->em->refresh($lesson);
            $now = $this->orders->roundNow($lesson, fresh: true);
            if (null === $lesson->segment || null !== $lesson->endedAt) {
                return [];
            }
            $messages = $now->state()->phase($this->clock->ms())->isUnderWay()
                ? $this->keeper->apply($now, new CallBack(0), Actor::clock())
                : [];

            return [...$messages, ...$this->end->end($lesson, $now, new End(false), Actor::clock())];
        });
        $this->publisher->tell($lesson, $done);
    }
}
