<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

enum ShapeKind: string
{
    case Groups = 'groups';
    case Size = 'size';
    case Sizes = 'sizes';
}
