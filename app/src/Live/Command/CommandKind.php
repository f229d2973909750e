<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

/**
 * The commands of a running lesson.
 */
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
    /** Goes to a group, from wherever they were. */
    case Visit = 'visit';
    case Leave = 'leave';
    /** A chalk mark on a group's table, or none. */
    case Chalk = 'chalk';
    /** The group that calls is to know that it was seen. */
    case SeeCall = 'seeCall';
    /** Some students to a side room or the main session, while the others go on. */
    case TakeAside = 'takeAside';
    /** Back to where they were. */
    case PutBack = 'putBack';
    /** Whoever is not where they should be is called there. */
    case Fetch = 'fetch';
    /** The clock of the work stands still. */
    case Pause = 'pause';
    case GoOn = 'goOn';

    /**
     * Whether it is about one group.
     */
    public function isOfGroup(): bool
    {
        return self::Visit === $this || self::Chalk === $this || self::SeeCall === $this;
    }

    /**
     * Whether it is about some students.
     */
    public function isOfStudents(): bool
    {
        return self::TakeAside === $this || self::PutBack === $this || self::Fetch === $this;
    }
}
