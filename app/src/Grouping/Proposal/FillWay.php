<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

/**
 * How the groups of several rounds hang together.
 */
enum FillWay: string
{
    /** The same groups in every round. */
    case Same = 'same';
    /** New partners in each. */
    case Rotation = 'rotation';
    /** Pairs inside each group, then the groups. */
    case Split = 'split';
    /** Pairs, then fours, then eights. */
    case Snowball = 'snowball';
    /** Experts of a topic sit together, then bring it home. */
    case Jigsaw = 'jigsaw';
}
