<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

enum EventKind: string
{
    /** The lesson went on to a segment of its running order. */
    case SegmentBegun = 'segmentBegun';
    /** It is over; where everybody was stands in the signs before it. */
    case LessonEnded = 'lessonEnded';
    /** It was not over after all. */
    case LessonReopened = 'lessonReopened';
    case SentOut = 'sentOut';
    case TakenBack = 'takenBack';
    case EndChanged = 'endChanged';
    case CalledBack = 'calledBack';
    case KeptWorking = 'keptWorking';
    case NoticeSaid = 'noticeSaid';
    case SeatsChanged = 'seatsChanged';
    case WhereaboutsChanged = 'whereaboutsChanged';
}
