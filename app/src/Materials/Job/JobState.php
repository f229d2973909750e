<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

/**
 * Where a long piece of work stands.
 */
enum JobState: string
{
    case Working = 'working';
    case Done = 'done';
    case Failed = 'failed';
}
