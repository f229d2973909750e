<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

/**
 * The recordings of a lesson.
 */
final readonly class RecordingsView
{
    /**
     * @param int                 $days       recordings are kept; 0: rooms of this class are not recorded
     * @param bool                $mayDelete  whether whoever looks may throw one away
     * @param list<RecordingView> $recordings the newest first
     */
    public function __construct(public int $days, public bool $mayDelete, public array $recordings)
    {
    }
}
