<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

enum MediaKind: string
{
    case Picture = 'picture';
    case Sound = 'sound';
}
