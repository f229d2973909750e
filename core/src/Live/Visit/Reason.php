<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Visit;

/**
 * Why a group is next.
 */
enum Reason: string
{
    /** It calls. */
    case Called = 'called';
    /** Nothing has changed there for a while. */
    case Still = 'still';
    /** It is well behind the others. */
    case Behind = 'behind';
    /** Members are not in place. */
    case Missing = 'missing';
    /** Nobody of it is there. */
    case Nobody = 'nobody';
    /** Members have written nothing. */
    case Silent = 'silent';
    /** Nobody has been there yet. */
    case NotYet = 'notYet';
    /** It is the longest ago. */
    case LongAgo = 'longAgo';
}
