<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

enum CommandKind: string
{
    /** On to another segment of the running order. */
    case Begin = 'begin';
    case SendOut = 'sendOut';
    case TakeBack = 'takeBack';
    case ChangeEnd = 'changeEnd';
    case CallBack = 'callBack';
    case KeepWorking = 'keepWorking';
    case End = 'end';
    /** A lesson that was ended goes on. */
    case Reopen = 'reopen';
    case Say = 'say';
}
