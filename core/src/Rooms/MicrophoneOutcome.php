<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * What came of the last time a student's device was to send sound into a room of our own.
 */
enum MicrophoneOutcome: string
{
    case Works = 'works';
    /** The page's address does not begin with https. */
    case Insecure = 'insecure';
    /** The browser was not allowed to use it. */
    case Refused = 'refused';
    /** The device has none. */
    case None = 'none';
    /** Another program has it. */
    case Busy = 'busy';
    /** The network lets no sound through. */
    case Unreachable = 'unreachable';
    case Other = 'other';
}
