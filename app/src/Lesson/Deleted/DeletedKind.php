<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Deleted;

/**
 * What can be deleted and brought back.
 */
enum DeletedKind: string
{
    case SchoolClass = 'class';
    case Lesson = 'lesson';
}
