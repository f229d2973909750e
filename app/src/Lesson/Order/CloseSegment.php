<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use FreshHuddle\App\Http\Body\Moment;

/**
 * The body of a request: closes what everybody does alone in a segment, now or at a time, or leaves it open.
 */
final readonly class CloseSegment
{
    /**
     * @param int|null $closesAt milliseconds since 1970; what is past means now; null: it stays open
     */
    public function __construct(
        #[Moment]
        public ?int $closesAt,
    ) {
    }
}
