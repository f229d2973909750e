<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * A part of the lesson at its place in the order.
 */
final readonly class OrderedSegment
{
    /**
     * @param string|null $id   null: a new one
     * @param SegmentKind $kind of a new one; one that is there keeps its own
     */
    public function __construct(public SegmentKind $kind, public int $minutes, #[Id] public ?string $id = null)
    {
    }
}
