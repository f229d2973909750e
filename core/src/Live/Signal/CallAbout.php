<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Signal;

/**
 * What a group calls the teacher for.
 */
enum CallAbout: string
{
    case Question = 'question';
    case Stuck = 'stuck';
    case Look = 'look';
    /** Something does not work: sound, a page, a link. */
    case Trouble = 'trouble';
    case Done = 'done';
}
