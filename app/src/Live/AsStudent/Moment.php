<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\AsStudent;

/**
 * At which moment of a segment. One that is no round has only the one, `before`.
 */
enum Moment: string
{
    case Before = 'before';
    case Looking = 'looking';
    case Out = 'out';
    case ComingBack = 'comingBack';
    case Back = 'back';
}
