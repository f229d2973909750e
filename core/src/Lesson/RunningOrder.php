<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

use FreshHuddle\Core\Lesson\Exception\UnusableOrder;

/**
 * The segments of a lesson in the order in which they come. Every change gives another order; with at most 24 segments
 * every question is answered by going through them once.
 */
final readonly class RunningOrder
{
    public const MOST = 24;
    /** The longest a segment can be, in minutes. */
    public const LONGEST = 600;
    /** Rounds that share a lesson are not made shorter than that while other segments can be, in minutes. */
    private const SHORTEST_ROUND = 5;

    /**
     * @param list<Segment> $segments
     */
    private function __construct(public array $segments)
    {
    }

    /**
     * @param list<Segment> $segments 1 to 24, at least one a round, each with an id of its own
     *
     * @throws UnusableOrder
     */
    public static function fromSegments(array $segments): self
    {
        if (\count($segments) > self::MOST) {
            throw UnusableOrder::tooMany(self::MOST);
        }
        $seen = [];
        $rounds = 0;
        foreach ($segments as $position => $segment) {
            if ($segment->minutes < 1 || $segment->minutes > self::LONGEST) {
                throw UnusableOrder::minutes($position, self::LONGEST);
            }
            if (isset($seen[$segment->id])) {
                throw UnusableOrder::twice($position);
            }
            $seen[$segment->id] = true;
            $rounds += SegmentKind::Round === $segment->kind ? 1 : 0;
        }

        return 0 === $rounds ? throw UnusableOrder::noRound() : new self($segments);
    }

    /**
     * What a lesson begins with: half of it in groups, with a briefing before and a share-out after where there is
     * time.
     *
     * @param int $minutes of the lesson, 1 to 600
     *
     * @return list<array{SegmentKind, int}> kinds and minutes; they add up to the lesson's
     */
    public static function usual(int $minutes): array
    {
        $round = max(1, (int) round($minutes / 2));
        $before = intdiv($minutes - $round, 2);
        $after = $minutes - $round - $before;

        return array_values(
            array_filter(
                [[SegmentKind::Briefing, $before], [SegmentKind::Round, $round], [SegmentKind::ShareOut, $after]],
                static fn (array $part): bool => $part[1] > 0,
            ),
        );
    }

    /**
     * @return int in all
     */
    public function minutes(): int
    {
        return array_sum(array_map(static fn (Segment $segment): int => $segment->minutes, $this->segments));
    }

    /**
     * @param int $lesson minutes of the lesson
     *
     * @return int minutes nobody has planned for; below 0: so many too many
     */
    public function spare(int $lesson): int
    {
        return $lesson - $this->minutes();
    }

    /**
     * @return array<string, int> by segment: when it begins, in minutes from the lesson's beginning
     */
    public function begins(): array
    {
        $begins = [];
        $at = 0;
        foreach ($this->segments as $segment) {
            $begins[$segment->id] = $at;
            $at += $segment->minutes;
        }

        return $begins;
    }

    /**
     * The segment after the one the lesson is in.
     *
     * @param string|null $now null before it has begun; one that is no longer in the order counts as that
     */
    public function after(?string $now): ?Segment
    {
        $position = null === $now ? null : $this->position($now);

        return $this->segments[null === $position ? 0 : $position + 1] ?? null;
    }

    /**
     * Its end is moved: what it gains its neighbour loses, so that the lesson stays as long as it is. Neither gets
     * shorter than a minute. The last one has no neighbour after it and just ends sooner or later.
     *
     * @param int $by minutes, below 0: sooner
     */
    public function withEdge(string $id, int $by): self
    {
        $position = $this->position($id);
        if (null === $position) {
            return $this;
        }
        $segments = $this->segments;
        $segment = $segments[$position];
        $next = $segments[$position + 1] ?? null;
        $most =
            null === $next
                ? self::LONGEST - $segment->minutes
                : min($next->minutes - 1, self::LONGEST - $segment->minutes);
        $by = max(
            1 - $segment->minutes,
            null === $next ? -self::LONGEST : $next->minutes - self::LONGEST,
            min($most, $by),
        );
        $segments[$position] = $segment->lasting($segment->minutes + $by);
        if (null !== $next) {
            $segments[$position + 1] = $next->lasting($next->minutes - $by);
        }

        return new self(array_values($segments));
    }

    /**
     * As long as the lesson: each keeps its share, in whole minutes and never less than one; what rounding leaves over
     * goes to those that lost most by it (largest remainder, Hamilton 1792).
     *
     * @param int $lesson minutes, at least as many as there are segments
     */
    public function fitted(int $lesson): self
    {
        $count = \count($this->segments);
        $free = max(0, min($lesson, self::LONGEST) - $count); // a minute each is theirs in any case
        $all = max(1, $this->minutes() - $count);
        $shares = array_map(
            static fn (Segment $segment): float => ($free * ($segment->minutes - 1)) / $all,
            $this->segments,
        );
        if ($this->minutes() === $count) {
            $shares = array_fill(0, $count, $free / $count);
        }
        $whole = array_map(static fn (float $share): int => (int) floor($share), $shares);
        $order = array_keys($shares);
        usort(
            $order,
            static fn (int $a, int $b): int => [$shares[$b] - $whole[$b], $a] <=> [$shares[$a] - $whole[$a], $b],
        );
        foreach (\array_slice($order, 0, $free - array_sum($whole)) as $position) {
            ++$whole[$position];
        }

        return new self(
            array_map(
                static fn (Segment $segment, int $minutes): Segment => $segment->lasting(1 + $minutes),
                $this->segments,
                $whole,
            ),
        );
    }

    /**
     * Some rounds share evenly what the other segments leave of the lesson; the earlier ones get what does not divide.
     * Where the others leave less than a few minutes for each, all get shorter alike.
     *
     * @param int          $lesson minutes of the lesson
     * @param list<string> $rounds ids of their segments
     */
    public function withEvenRounds(int $lesson, array $rounds): self
    {
        if ([] === $rounds) {
            return $this;
        }
        $others = array_sum(
            array_map(
                static fn (Segment $segment): int => \in_array($segment->id, $rounds, true) ? 0 : $segment->minutes,
                $this->segments,
            ),
        );
        $each = intdiv(max(0, $lesson - $others), \count($rounds));
        $left = max(0, $lesson - $others) - $each * \count($rounds);
        $isTight = $each < self::SHORTEST_ROUND;
        $segments = [];
        foreach ($this->segments as $segment) {
            if (\in_array($segment->id, $rounds, true)) {
                $segment = $segment->lasting(
                    min(self::LONGEST, $isTight ? self::SHORTEST_ROUND : $each + ($left-- > 0 ? 1 : 0)),
                );
            }
            $segments[] = $segment;
        }
        $order = new self($segments);

        return $isTight && $lesson >= \count($segments) ? $order->fitted($lesson) : $order;
    }

    /**
     * @return array<string, int> by round's segment: its number, from 1
     */
    public function rounds(): array
    {
        $numbers = [];
        foreach ($this->segments as $segment) {
            if (SegmentKind::Round === $segment->kind) {
                $numbers[$segment->id] = \count($numbers) + 1;
            }
        }

        return $numbers;
    }

    /**
     * The round that work of another segment is planned with: the last one before it, or else the first after it.
     *
     * @return string|null the round's segment; null where the segment is not in the order
     */
    public function roundFor(string $id): ?string
    {
        $position = $this->position($id);
        if (null === $position) {
            return null;
        }
        $isRound = static fn (Segment $segment): bool => SegmentKind::Round === $segment->kind;
        $before = array_values(array_filter(\array_slice($this->segments, 0, $position + 1), $isRound));
        $after = array_values(array_filter(\array_slice($this->segments, $position), $isRound));

        return ([] === $before ? $after[0] ?? null : $before[\count($before) - 1])?->id;
    }

    private function position(string $id): ?int
    {
        foreach ($this->segments as $position => $segment) {
            if ($segment->id === $id) {
                return $position;
            }
        }

        return null;
    }
}
