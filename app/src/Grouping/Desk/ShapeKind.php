<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

/**
 * What is set: the number of groups, or their size.
 */
enum ShapeKind: string
{
    case Groups = 'groups';
    case Size = 'size';
    case Sizes = 'sizes';
}
