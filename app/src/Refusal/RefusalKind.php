<?php

declare(strict_types=1);

namespace FreshHuddle\App\Refusal;

/**
 * In what way something was refused.
 */
enum RefusalKind
{
    /** It cannot be as it was asked for. */
    case Unusable;
    /** It stands otherwise by now, or something else is in the way. */
    case Outdated;
    /** There is no such thing, or it is not theirs. */
    case Missing;
    /** It is there, but not for them to do. */
    case NotAllowed;
    /** It is not known who asks. */
    case NotSignedIn;
    /** Too much, or too often. */
    case TooMuch;
}
