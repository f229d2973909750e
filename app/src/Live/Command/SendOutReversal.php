<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\KeepWorking;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Takes back that groups were sent out.
 */
final readonly class SendOutReversal
{
    public function __construct(
        private RunReader $runReader,
        private EntityManagerInterface $em,
        private NowReader $now,
        private Tasks $tasks,
        private Keeper $keeper,
        private Clock $clock,
    ) {
    }

    /**
     * Students who were still looking go back to what they were doing before, in this lesson or another.
     *
     * @return list<Told>
     *
     * @throws CommandRefused
     */
    public function takeBack(Lesson $lesson, Round $round, Command $command, Actor $actor): array
    {
        $from = $this->runReader->cameFrom($round->id);
        $messages = $this->keeper->apply($round, $command, $actor);
        if ([] === $messages || null === $from) {
            return $messages;
        }
        $lesson->segment = null === $from->segment ? null : $this->em->find(Segment::class, $from->segment);
        $lesson->segmentSince = $from->since;
        $lesson->begunAt = null === $lesson->segment ? null : $lesson->begunAt;
        $before = $lesson->segment?->round;
        if (
            null !== $before
            && $before !== $round
            && Phase::ComingBack === $before->state()->phase($this->clock->ms())
        ) {
            array_push($messages, ...$this->keeper->apply($before, new KeepWorking(asBefore: true), $actor));
        }
        if (null !== $from->lesson && $from->lesson !== $lesson->id && null !== $this->now->forLesson($from->lesson)) {
            $lesson->class->currentLessonId = $from->lesson;
            $this->tasks->schedule(WatchTaskHandler::WATCH, $from->lesson);
            $messages[] = new Told(0, null, wholeClass: true);
        }
        $this->em->flush();

        return $messages;
    }
}
