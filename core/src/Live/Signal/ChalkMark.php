<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Signal;

/**
 * A light sign the teacher puts on a table, with no message and no interruption.
 */
enum ChalkMark: string
{
    case Seen = 'seen';
    case WellDone = 'wellDone';
    case Listening = 'listening';
    case Hurry = 'hurry';
}
