<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

/**
 * A lesson's segments in their order, and where in them it is.
 */
final readonly class RunningOrderView
{
    /**
     * @param int               $step     say it with the next change
     * @param int               $spare    minutes of the lesson nobody has planned for; below 0: so many too many
     * @param list<SegmentView> $segments
     * @param string|null       $now      the segment the lesson is in; null before it has begun
     * @param int|null          $nowSince milliseconds since 1970
     * @param string|null       $next     the segment after it; null after the last
     */
    public function __construct(
        public int $step,
        public int $spare,
        public array $segments,
        public ?string $now,
        public ?int $nowSince,
        public ?string $next,
    ) {
    }
}
