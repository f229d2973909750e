<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

/**
 * How far a recording is.
 */
enum RecordingState: string
{
    /** What is said is being kept. */
    case Running = 'running';
    /** It has ended, and what everybody said is put into one. */
    case Making = 'making';
    case Ready = 'ready';
    /** Nobody has said anything. */
    case Silent = 'silent';
    case Failed = 'failed';
}
