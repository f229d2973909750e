<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

/**
 * What a student's whereabouts are known by.
 */
enum EvidenceKind: string
{
    /** The meeting service saw them come in. */
    case Service = 'service';
    /** They followed the room link: a moment ago, or, where nothing more can be known, at any time. */
    case Link = 'link';
    /** Their page is open: they are in no room, or there is no room to be in but the one they sit in. */
    case Page = 'page';
    /** No sign for a while. */
    case Silent = 'silent';
    /** They have not arrived today. */
    case Never = 'never';
    /** The teacher marked them absent. */
    case Absent = 'absent';
    /** They have no seat, so there is no room to be in. */
    case NoSeat = 'noSeat';
    /** The lesson is over, and its record says so. */
    case Record = 'record';
}
