<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * The one press that mends a finding; or, where no press can, the screen that does.
 */
enum Mend: string
{
    case Roster = 'roster';
    case Deal = 'deal';
    /** As Deal, at random in any case. */
    case DealAtRandom = 'dealAtRandom';
    case Repair = 'repair';
    case Desk = 'desk';
    /** Carries out the set-up list. */
    case SetUp = 'setUp';
    case MakeRooms = 'makeRooms';
    case SayWhere = 'sayWhere';
    /** It is being done already. */
    case Wait = 'wait';
    case Rooms = 'rooms';
    case WriteOriginal = 'writeOriginal';
    /** There is no worksheet, and none is meant. */
    case TalkOnly = 'talkOnly';
    case MakeCopies = 'makeCopies';
    case BringChanges = 'bringChanges';
    case Materials = 'materials';
    case Order = 'order';
    case Slips = 'slips';
    /** What is sent, and what came of it. */
    case Sending = 'sending';
}
