<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

/**
 * Where a step stands.
 */
enum StepState: string
{
    case Waiting = 'waiting';
    case Done = 'done';
    /** It was of no use to try again. */
    case Failed = 'failed';
}
