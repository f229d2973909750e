<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

enum DeskGoalKind: string
{
    case Spread = 'spread';
    case Alike = 'alike';
    case NotAlone = 'notAlone';
    case EachHas = 'eachHas';
    case NewPartners = 'newPartners';
    case Wishes = 'wishes';
}
