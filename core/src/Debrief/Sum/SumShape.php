<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * How a sum over groups is drawn.
 */
enum SumShape: string
{
    /** Cards by headings: a tally for each card under each heading it was put under. */
    case Cards = 'cards';
    /** A bar for each line or option. */
    case Bars = 'bars';
    /** Numbers on a line. */
    case Numbers = 'numbers';
    /** A table: in each cell what was written there, like answers together. */
    case Cells = 'cells';
    /** A text, each word as dark as it was marked. */
    case Passage = 'passage';
    /** What was written, like answers together. */
    case Texts = 'texts';
}
