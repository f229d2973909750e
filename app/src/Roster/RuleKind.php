<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

enum RuleKind: string
{
    case Apart = 'apart';
    case Together = 'together';
}
