<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * Where rooms come from, and what can be asked of them there.
 */
enum SourceKind: string
{
    /** Rooms of our own, in our own pages. */
    case OwnRooms = 'ownRooms';
    /** Rooms are made at a meeting service that we can talk to. */
    case MeetingService = 'meetingService';
    /** Links of the teacher's own, to a program we cannot talk to. */
    case OwnLinks = 'ownLinks';
    /** Addresses with a name in them. */
    case NamePattern = 'namePattern';
    /** Places in one building. */
    case Classroom = 'classroom';

    /** People are sent there through an address. */
    public function hasLink(): bool
    {
        return self::Classroom !== $this && self::OwnRooms !== $this;
    }

    /** It is made for us, people can be moved there and spoken to there, and we are told who is there. */
    public function answers(): bool
    {
        return self::MeetingService === $this || self::OwnRooms === $this;
    }

    /** It opens in our own pages, and is there whenever there is a group: nothing has to be made beforehand. */
    public function isHere(): bool
    {
        return self::OwnRooms === $this;
    }

    /** Whoever is first may have to open it for the others. */
    public function mayNeedOpening(): bool
    {
        return self::OwnLinks === $this || self::NamePattern === $this;
    }

    /** Its link is pasted by somebody. */
    public function isPasted(): bool
    {
        return self::OwnLinks === $this;
    }

    /** Its address follows from a pattern of the class. */
    public function isFromPattern(): bool
    {
        return self::NamePattern === $this;
    }
}
