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
     * @param list<RecordingView> $recordings the newest first
     */
    public function __construct(public int $days, public array $recordings)
    {
    }
}
