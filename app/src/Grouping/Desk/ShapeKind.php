<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

enum ShapeKind: string
{
    case Groups = 'groups';
    case Size = 'size';
    case Sizes = 'sizes';
}
