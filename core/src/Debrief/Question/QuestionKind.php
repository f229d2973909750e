<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Question;

use FreshHuddle\Core\Materials\BlockKind;

/**
 * How a quick question is answered.
 */
enum QuestionKind: string
{
    /** One of some choices, in one press. */
    case Choice = 'choice';
    /** A word, or a few. */
    case Words = 'words';
    case Number = 'number';

    /**
     * The kind of slot on a worksheet that asks the same.
     */
    public function block(): BlockKind
    {
        return match ($this) {
            self::Choice => BlockKind::Choose,
            self::Words => BlockKind::Each,
            self::Number => BlockKind::Number,
        };
    }
}
