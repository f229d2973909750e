<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

/**
 * The kinds of file that can stand in a worksheet.
 */
enum MediaKind: string
{
    case Picture = 'picture';
    case Sound = 'sound';
}
