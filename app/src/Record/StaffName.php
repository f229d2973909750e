<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

/**
 * Somebody of the staff.
 */
final readonly class StaffName
{
    public function __construct(public string $id, public string $name)
    {
    }
}
