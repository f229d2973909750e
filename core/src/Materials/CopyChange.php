<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * What a later change to an original does to a copy.
 */
enum CopyChange: string
{
    case PageAdded = 'pageAdded';
    case BlockAdded = 'blockAdded';
    /** It reads as the original does now. */
    case BlockChanged = 'blockChanged';
    /** Somebody has worked there: it stays as it was, and how it reads now stands above it. */
    case BothShown = 'bothShown';
    /** It is in the original no more, and nobody has worked there. */
    case BlockGone = 'blockGone';
    /** It is in the original no more, and stays, because somebody has worked there. */
    case BlockStays = 'blockStays';
}
