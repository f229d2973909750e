<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch\Part;

use FreshHuddle\App\Watch\Part;
use FreshHuddle\App\Watch\QueueReader;

/**
 * What is due is done: rooms, moves, time limits, letters.
 */
final readonly class WorkersPart implements Part
{
    /** So long something due may lie there. Seconds. */
    private const LATE = 60;

    public function __construct(private QueueReader $queue)
    {
    }

    public function name(): string
    {
        return 'workers';
    }

    public function isNeeded(): bool
    {
        return false;
    }

    public function isUp(): bool
    {
        return $this->queue->read()['oldest'] < self::LATE;
    }
}
