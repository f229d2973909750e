<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

enum Place: string
{
    case InPlace = 'inPlace';
    case OnTheWay = 'onTheWay';
    case Elsewhere = 'elsewhere';
    case LeftBehind = 'leftBehind';
    case Lost = 'lost';
    case Excused = 'excused';
}
