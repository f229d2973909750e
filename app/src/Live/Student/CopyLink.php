<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\Core\Materials\HandOutWay;

/**
 * Something a student can open.
 */
final readonly class CopyLink
{
    public function __construct(public string $id, public string $title, public HandOutWay $way)
    {
    }
}
