<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

final readonly class StudentView
{
    /**
     * @param bool $claimed a device has chosen this name
     */
    public function __construct(public string $id, public string $name, public bool $absent, public bool $claimed)
    {
    }
}
