<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * What can happen in a lesson.
 */
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
    case CallMade = 'callMade';
    /** Its group knows that the teacher knows. */
    case CallSeen = 'callSeen';
    case CallTakenBack = 'callTakenBack';
    case VisitBegun = 'visitBegun';
    case VisitEnded = 'visitEnded';
    case ChalkMarked = 'chalkMarked';
    /** The clock of a round stands still. */
    case Paused = 'paused';
    case WentOn = 'wentOn';
    /** A student is to be in a side room or the main session, and not with their group. */
    case TakenAside = 'takenAside';
    /** Back to where they were. */
    case PutBack = 'putBack';
    /** A student who is not where they should be is called there. */
    case Fetched = 'fetched';
    /** A student is asked to speak. */
    case CalledOn = 'calledOn';
    /** They answered. */
    case CallAnswered = 'callAnswered';
    /** They would rather not: it does not count. */
    case CallPassed = 'callPassed';
    /** A group's turn to report. */
    case TurnBegun = 'turnBegun';
    /** All groups that were to report have. */
    case ShareOutDone = 'shareOutDone';
    /** A piece of work is on every screen. */
    case HeldUp = 'heldUp';
    /** What was shown to everybody is gone from all screens. */
    case PutDown = 'putDown';
    /** A quick question to everybody. */
    case QuestionAsked = 'questionAsked';
    /** All work is open to the whole class. */
    case GalleryOpened = 'galleryOpened';
    case GalleryClosed = 'galleryClosed';

    /**
     * Whether it concerns staff, and of students at most those its `to` names: other pages need not look again.
     */
    public function isQuiet(): bool
    {
        return match ($this) {
            self::WhereaboutsChanged,
            self::CallMade,
            self::CallSeen,
            self::CallTakenBack,
            self::VisitBegun,
            self::VisitEnded,
            self::ChalkMarked,
            self::TakenAside,
            self::PutBack,
            self::Fetched,
            self::CalledOn,
            self::CallAnswered,
            self::CallPassed => true,
            default => false,
        };
    }

    /**
     * @return list<string>
     */
    public static function quiet(): array
    {
        return array_values(
            array_map(
                static fn (self $kind): string => $kind->value,
                array_filter(self::cases(), static fn (self $kind): bool => $kind->isQuiet()),
            ),
        );
    }
}
