<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Notice;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Event\RoundPlanned;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\RoundState;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Sees to it that prepared notices are said in time, also when the end is moved.
 */
final readonly class PreparedNotices
{
    /** What was due longer ago is not said any more. Milliseconds. */
    private const TOO_LATE = 5_000;

    public function __construct(private EntityManagerInterface $em, private Tasks $tasks, private Clock $clock)
    {
    }

    public function plan(Round $round, RoundState $state): void
    {
        foreach ($this->em->getRepository(PreparedNotice::class)->findBy(['round' => $round]) as $notice) {
            $due = $notice->time()->due($state);
            if (null === $due || $due < $this->clock->ms() - self::TOO_LATE) {
                $this->tasks->cancel($notice->id, NoticeTaskHandler::PREPARED);
            } else {
                $this->tasks->schedule(NoticeTaskHandler::PREPARED, $notice->id, $due);
            }
        }
    }

    #[AsEventListener]
    public function replanned(RoundPlanned $event): void
    {
        $round = $this->em->find(Round::class, $event->roundId);
        if (null !== $round) {
            $this->plan($round, $round->state()->state());
        }
    }
}
