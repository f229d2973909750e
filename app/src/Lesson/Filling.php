<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\SeveralRounds;
use FreshHuddle\App\Lesson\Exception\LessonRefused;
use FreshHuddle\App\Lesson\Run\Run;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\RunningOrder;
use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\Uid\Uuid;

/**
 * Several rounds in one press.
 */
final readonly class Filling
{
    /** Of a round that is added. */
    private const MINUTES = 10;

    public function __construct(private EntityManagerInterface $em, private RunningOrders $orders, private SeveralRounds $rounds, private Stream $stream)
    {
    }

    /**
     * Rounds that groups have not worked in yet get the groupings, in their order; what is missing is added after the last
     * round.
     *
     * @throws LessonRefused if the order was changed elsewhere meanwhile, or if it cannot be
     */
    public function fill(Lesson $lesson, FillRounds $request): void
    {
        $this->em->wrapInTransaction(function () use ($lesson, $request): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            if ($lesson->orderStep !== $request->basedOn) {
                throw LessonRefused::outdated('lesson.order.changed');
            }
            $segments = $this->orders->segments($lesson);
            $open = array_values(array_filter(array_map(static fn (Segment $segment): ?Round => $segment->round, $segments), $this->isOpen(...)));
            $base = ($open[0] ?? $this->orders->roundNow($lesson))->grouping;
            $groupings = $this->rounds->make($base, $request->way, $request->rounds, $request->size, array_map(trim(...), $request->topics));
            foreach ($groupings as $number => $grouping) {
                if (isset($open[$number])) {
                    $open[$number]->grouping = $grouping;
                } else {
                    $segments = $this->withRound($segments, $lesson, $grouping);
                }
            }
            if (\count($segments) > RunningOrder::MOST) {
                throw LessonRefused::unusable('lesson.order.too_many', 'rounds', ['most' => RunningOrder::MOST]);
            }
            $this->orders->arrange($lesson, $segments);
            ++$lesson->orderStep;
        });
        $this->stream->publish([Audience::staff($lesson->id)], ['kind' => 'lesson']);
        $this->stream->publish([Audience::everybody($lesson->id)], ['kind' => 'refresh']);
    }

    private function isOpen(?Round $round): bool
    {
        return null !== $round && 0 === $this->em->getRepository(Run::class)->count(['round' => $round]);
    }

    /**
     * @param list<Segment> $segments
     *
     * @return list<Segment>
     */
    private function withRound(array $segments, Lesson $lesson, Grouping $grouping): array
    {
        $last = 0;
        foreach ($segments as $at => $segment) {
            $last = null === $segment->round ? $last : $at + 1;
        }
        $new = new Segment(Uuid::v7()->toRfc4122(), $lesson, null, SegmentKind::Round, self::MINUTES);
        new Round(Uuid::v7()->toRfc4122(), $new, $grouping);

        return [...\array_slice($segments, 0, $last), $new, ...\array_slice($segments, $last)];
    }
}
