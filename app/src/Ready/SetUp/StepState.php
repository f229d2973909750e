<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

enum StepState: string
{
    case Waiting = 'waiting';
    case Done = 'done';
    /** It was of no use to try again. */
    case Failed = 'failed';
}
