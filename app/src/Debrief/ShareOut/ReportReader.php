<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\Core\Debrief\ShareOut\Turns;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * Who reports in a share-out, and when.
 */
final readonly class ReportReader
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @return list<TurnView> in order; none outside a share-out
     */
    public function views(Lesson $lesson, int $now): array
    {
        $segment = $lesson->segment;
        if (SegmentKind::ShareOut !== $segment?->kind) {
            return [];
        }
        $turns = $this->turns($segment);
        $toCome = array_values(array_filter($turns, static fn (ShareTurn $turn): bool => $turn->isToCome()));
        // Whoever reports now keeps their time; the others have what is left after that.
        $from = max($now, self::current($turns)->endsAt ?? $now);
        $times = Turns::divide(
            self::left($lesson, $segment, $from),
            array_map(static fn (ShareTurn $turn): int => $turn->share, $toCome),
        );
        $planned = [];
        foreach ($toCome as $i => $turn) {
            $planned[$turn->id] = $times[$i] ?? Turns::LEAST;
        }

        return array_map(
            static fn (ShareTurn $turn): TurnView => new TurnView(
                $turn->id,
                $turn->group->id,
                $turn->group->name,
                $turn->group->mark,
                $turn->share,
                $planned[$turn->id] ?? ($turn->endedAt ?? $turn->endsAt ?? 0) - ($turn->begunAt ?? 0),
                $turn->begunAt,
                $turn->endsAt,
                $turn->endedAt,
            ),
            $turns,
        );
    }

    /**
     * @return ReportView|null null outside a share-out
     */
    public function forLesson(Lesson $lesson): ?ReportView
    {
        $segment = $lesson->segment;
        if (SegmentKind::ShareOut !== $segment?->kind || null !== $lesson->endedAt) {
            return null;
        }
        $turns = $this->turns($segment);
        [$now, $next] = [self::current($turns), self::next($turns)];

        return new ReportView(
            null === $now ? null : ReportingGroup::fromTurn($now),
            null === $next ? null : ReportingGroup::fromTurn($next),
            [] !== $turns && null === $now && null === $next,
        );
    }

    /**
     * @return list<ShareTurn> in order
     */
    public function turns(Segment $segment): array
    {
        return $this->em->getRepository(ShareTurn::class)->findBy(['segment' => $segment], ['position' => 'ASC']);
    }

    /**
     * @return int milliseconds left of the segment the lesson is in; below 0: it should be over
     */
    public static function left(Lesson $lesson, Segment $segment, int $now): int
    {
        return ($lesson->segmentSince ?? $now) + 60_000 * $segment->minutes - $now;
    }

    /**
     * @param list<ShareTurn> $turns
     */
    public static function current(array $turns): ?ShareTurn
    {
        return array_values(array_filter($turns, static fn (ShareTurn $turn): bool => $turn->isNow()))[0] ?? null;
    }

    /**
     * @param list<ShareTurn> $turns
     */
    public static function next(array $turns): ?ShareTurn
    {
        return array_values(array_filter($turns, static fn (ShareTurn $turn): bool => $turn->isToCome()))[0] ?? null;
    }
}
