<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

/**
 * The kinds of rules and wishes.
 */
enum RuleKind: string
{
    case Apart = 'apart';
    case Together = 'together';

    /** The first would like to be with one of the others: a should, kept where the musts are kept. */
    case Wish = 'wish';

    public function isMust(): bool
    {
        return self::Wish !== $this;
    }
}
