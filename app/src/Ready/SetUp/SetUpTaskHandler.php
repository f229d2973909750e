<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Query;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Portal\PortalFailed;
use FreshHuddle\App\Ready\SetUp\Work\PostSteps;
use FreshHuddle\App\Ready\SetUp\Work\StepNotDone;
use FreshHuddle\App\Ready\SetUp\Work\StepRunner;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\RoomProbe;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\SetUp\StepKind;
use FreshHuddle\Core\Rooms\MainSession;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * Carries out a set-up list, step by step, and afterwards looks whether what services said they did is there. The
 * subject of a task is the set-up's id. Broken off anywhere it goes on where it was; a step that fails is tried again
 * alone.
 */
final readonly class SetUpTaskHandler implements TaskHandler
{
    public const CARRY_OUT = 'carryOutSetUp';

    private const MOST_TRIES = 4;
    /**
     * So long a worker stays with one list before others have their turn; well below what a worker may hold a task.
     * Milliseconds.
     */
    private const AT_A_TIME = 15_000;
    /** So many steps are asked for at once. */
    private const AT_ONCE = 50;
    /** So often pages hear how far it is. Milliseconds. */
    private const TELL_EVERY = 400;

    /** @var array<string, StepRunner> by kind of step */
    private array $works;

    /**
     * @param iterable<StepRunner> $works
     */
    public function __construct(
        #[AutowireIterator(StepRunner::class)]
        iterable $works,
        private EntityManagerInterface $em,
        private SetUpStore $store,
        private RoomProbe $rooms,
        private PostSteps $posts,
        private EventDispatcherInterface $events,
        private Stream $stream,
        private Words $words,
        private Clock $clock,
    ) {
        $byKind = [];
        foreach ($works as $work) {
            foreach ($work::kinds() as $kind) {
                $byKind[$kind->value] = $work;
            }
        }
        $this->works = $byKind;
    }

    public static function kinds(): array
    {
        return [self::CARRY_OUT];
    }

    public function classOf(Task $task): ?string
    {
        return $this->em->find(SetUp::class, $task->subject)?->lesson->class->id;
    }

    public function handle(Task $task): ?int
    {
        $setUp = $this->em->find(SetUp::class, $task->subject);
        if (null === $setUp || null !== $setUp->doneAt) {
            return null;
        }
        $begun = null;
        $until = $this->clock->ms() + self::AT_A_TIME;
        $told = 0;
        $round = $setUp->round;
        while ([] !== ($steps = $this->next($setUp))) {
            foreach ($steps as $step) {
                $now = $this->clock->ms();
                if ($now > $until) {
                    return $now; // the rest at once, as a task of its own
                }
                if ($now - $told > self::TELL_EVERY) {
                    $told = $now;
                    $this->tell($round);
                }
                if ($step->round !== $begun) {
                    $begun = $step->round;
                    foreach ($this->works as $work) {
                        $work->begin($begun);
                    }
                }
                $this->do($step);
            }
        }
        $later = $this->earliest($setUp) ?? $this->probe($setUp);
        if (null === $later) {
            $this->store->finish($setUp->id);
            $this->events->dispatch(new RoomsChanged($round->lesson->class->id));
        }
        $this->tell($round);

        return $later;
    }

    private function do(SetUpStep $step): void
    {
        try {
            (
                $this->works[$step->kind->value] ??
                throw new \LogicException("Nobody carries out {$step->kind->value}.")
            )->do($step);
            $this->store->done($step->setUp->id, $step->position);
        } catch (StepNotDone $e) {
            $this->fail($step, $e->says, $e->worthRetrying);
        }
    }

    private function fail(SetUpStep $step, Message $why, bool $isWorthRetrying): void
    {
        $isAgain = $isWorthRetrying && $step->tries + 1 < self::MOST_TRIES;
        $this->store->failed(
            $step->setUp->id,
            $step->position,
            $this->words->say($why),
            $isAgain ? $this->clock->ms() + (500 << $step->tries) : null,
        );
    }

    /**
     * @return list<SetUpStep> that are due, in their order
     */
    private function next(SetUp $setUp): array
    {
        /** @var list<SetUpStep> $steps */
        $steps = $this->em
            ->createQueryBuilder()
            ->select('s')
            ->from(SetUpStep::class, 's')
            ->where('s.setUp = :setUp AND s.state = :waiting AND s.dueAt <= :now')
            ->setParameter('setUp', $setUp)
            ->setParameter('waiting', StepState::Waiting)
            ->setParameter('now', $this->clock->ms())
            ->orderBy('s.position')
            ->setMaxResults(self::AT_ONCE)
            ->getQuery()
            ->setHint(Query::HINT_REFRESH, true)
            ->getResult();

        return $steps;
    }

    /**
     * @return int|null when the next step is tried again, in milliseconds since 1970
     */
    private function earliest(SetUp $setUp): ?int
    {
        $due = $this->em
            ->createQueryBuilder()
            ->select('MIN(s.dueAt)')
            ->from(SetUpStep::class, 's')
            ->where('s.setUp = :setUp AND s.state = :waiting')
            ->setParameter('setUp', $setUp)
            ->setParameter('waiting', StepState::Waiting)
            ->getQuery()
            ->getSingleScalarResult();

        return is_numeric($due) ? (int) $due : null;
    }

    /**
     * What a service said it did, and did not, is done again.
     *
     * @return int|null when, in milliseconds since 1970; null: all is as it was said to be
     */
    private function probe(SetUp $setUp): ?int
    {
        $done = [];
        foreach (
            $this->em
                ->getRepository(SetUpStep::class)
                ->findBy(['setUp' => $setUp, 'state' => StepState::Done], ['position' => 'ASC']) as $step
        ) {
            $done[] = $step;
        }
        $wrong = [];
        foreach (
            [
                [$this->rooms->probe(...), [StepKind::MakeRoom, StepKind::ChangeMembers], 'rooms.service.untrue'],
                [$this->posts->probe(...), [StepKind::Post, StepKind::ChangePost], 'ready.portal.untrue'],
            ] as [$look, $kinds, $why]
        ) {
            $ours = [];
            foreach ($done as $step) {
                if (\in_array($step->kind, $kinds, true)) {
                    $ours[$step->round->id][] = $step;
                }
            }
            foreach ($ours as $steps) {
                try {
                    $places = $look($steps[0]->round);
                } catch (MeetingServiceFailed|PortalFailed) {
                    continue; // it answers nothing just now: the ready check looks again
                }
                foreach ($steps as $step) {
                    if (\in_array($step->groupId ?? MainSession::PLACE, $places, true)) {
                        $this->fail($step, new Message($why), true);
                        $wrong[] = $step;
                    }
                }
            }
        }

        return [] === $wrong ? null : $this->earliest($setUp);
    }

    private function tell(Round $round): void
    {
        $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
    }
}
