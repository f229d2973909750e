<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * What a stretch of a lesson is.
 */
enum SegmentKind: string
{
    /** All together: what is this about, what is to be done. */
    case Briefing = 'briefing';
    /** In groups. */
    case Round = 'round';
    /** Each student alone. */
    case Alone = 'alone';
    /** Groups report in turn. */
    case ShareOut = 'shareOut';
    case Pause = 'pause';
}
