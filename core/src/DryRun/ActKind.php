<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * What a student does.
 */
enum ActKind: string
{
    /** Comes in; the text is the name they type. */
    case Arrive = 'arrive';
    /** Goes to a place. */
    case Go = 'go';
    /** Is off: neither in a room nor looking at the page. */
    case WalkOff = 'walkOff';
    /** Writes into a slot; the text is all that stands there of theirs now. */
    case Write = 'write';
    /** Asks for help. */
    case Call = 'call';
    /** The line is cut: nothing comes from them, nothing reaches them. */
    case LoseLine = 'loseLine';
    /** The line is there again. */
    case FindLine = 'findLine';
    /** Comes in once more, from another device; the text is the name they type. */
    case ArriveAgain = 'arriveAgain';
}
