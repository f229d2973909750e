<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

/**
 * What is counted to say how far a goal is met.
 */
enum DegreeUnit: string
{
    case Groups = 'groups';
    case Students = 'students';
    case Pairs = 'pairs';
    /** Nothing is: 1 is as good as can be, 0 a deal at random. */
    case Share = 'share';
}
