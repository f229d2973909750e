<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Message;

/**
 * How far a goal is met by an arrangement, for a bar.
 */
final readonly class Standing
{
    /**
     * @param Degree       $degree   on a teacher's own scale
     * @param float        $cost     see Goal
     * @param Message|null $obstacle what stands in the way
     * @param Message|null $summary  what each group has
     */
    public function __construct(
        public Degree $degree,
        public float $cost,
        public ?Message $obstacle,
        public ?Message $summary = null,
    ) {
    }
}
