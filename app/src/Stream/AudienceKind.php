<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

/**
 * Who can be told of something.
 */
enum AudienceKind: string
{
    /** The staff of a lesson's class. */
    case Staff = 'staff';
    /** The staff of a grouping's class. */
    case Desk = 'desk';
    /** The students whose class comes into a lesson now. */
    case Everybody = 'everybody';
    /** All students of a class. */
    case SchoolClass = 'class';
    case Student = 'student';
    /** The pages that show a lesson on the wall. */
    case ClassPage = 'classPage';
}
