<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

/**
 * What came of calling on a student.
 */
enum CallState: string
{
    /** They are asked, and nothing more is known. */
    case Asked = 'asked';
    case Answered = 'answered';
    /** It does not count. */
    case Passed = 'passed';
}
