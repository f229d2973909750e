<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Deleted;

enum DeletedKind: string
{
    case SchoolClass = 'class';
    case Lesson = 'lesson';
}
